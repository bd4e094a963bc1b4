import { Subscribable } from '@yellow-latch/core/subscribable';
import type { StoredRecord } from '@yellow-latch/core/sync';
import { v7 as uuid } from 'uuid';

import type { ReplicaDatabase } from './database';

/** A form that was typed into and not saved yet. */
export interface UnsavedForm {
  /** The shortcut it is over, or what `newPlace` gives for one that is not saved yet. */
  readonly place: string;
  /** What was typed or chosen, by the names of the fields; fields left alone are not in it. */
  readonly values: Readonly<Record<string, unknown>>;
  /** The record as its owner saw it: what another device writes meanwhile stands beside what is typed here. */
  readonly seen?: StoredRecord;
  /** When it was typed into last; ms since 1970. */
  readonly changed: number;
}

/** In the store `kept`, each form under a name of its own: tabs do not overwrite each other's. */
const PREFIX = 'unsaved/';
const NEW = 'new-';

/** A place for one more shortcut that is not saved yet. */
export function newPlace(): string {
  return `${NEW}${uuid()}`;
}

export function isNewPlace(place: string): boolean {
  return place.startsWith(NEW);
}

/** The forms that were left or reloaded without saving: of this device alone, in memory and in its database. */
export class UnsavedForms {
  private readonly changes = new Subscribable();
  private forms: readonly UnsavedForm[];
  private writing: Promise<void> = Promise.resolve();

  private constructor(
    private readonly db: ReplicaDatabase,
    forms: UnsavedForm[],
  ) {
    this.forms = newestFirst(forms);
  }

  static async open(db: ReplicaDatabase): Promise<UnsavedForms> {
    const all = IDBKeyRange.bound(PREFIX, `${PREFIX}\uffff`);
    return new UnsavedForms(db, (await db.getAll('kept', all)) as UnsavedForm[]);
  }

  /** All of them, the one typed into last first. The same array until something changes. */
  get all(): readonly UnsavedForm[] {
    return this.forms;
  }

  readonly subscribe = this.changes.subscribe;

  at(place: string): UnsavedForm | undefined {
    return this.forms.find((form) => form.place === place);
  }

  keep(form: UnsavedForm): void {
    this.forms = newestFirst([form, ...this.forms.filter(({ place }) => place !== form.place)]);
    this.write(() => this.db.put('kept', form, PREFIX + form.place));
  }

  /** Forgets one, if there is one; what comes back can be kept again. */
  drop(place: string): UnsavedForm | undefined {
    const dropped = this.at(place);
    if (!dropped) return undefined;
    this.forms = this.forms.filter((form) => form !== dropped);
    this.write(() => this.db.delete('kept', PREFIX + place));
    return dropped;
  }

  /** Resolves when all that was kept so far is in the database. */
  settled(): Promise<void> {
    return this.writing;
  }

  private write(step: () => Promise<unknown>): void {
    // A device without room keeps them for this visit.
    this.writing = this.writing.then(step).then(
      () => {},
      () => {},
    );
    this.changes.emit();
  }
}

function newestFirst(forms: readonly UnsavedForm[]): UnsavedForm[] {
  return [...forms].sort((a, b) => b.changed - a.changed);
}
