import type { AuditChange, AuditedShortcut, Finding } from '@yellow-latch/core/clash';
import { asksForAnotherCode } from '@yellow-latch/core/clash/finding';
import type { RuledList } from '@yellow-latch/core/fire';
import type { Shortcut, ShortcutSet } from '@yellow-latch/core/model';
import { wrap, type Remote } from 'comlink';

import { changeBetween } from '@/replica/listChange';

import type { AuditDesk, AuditRequest } from './desk';

/** The devices and languages that are proved until a person names their own. */
const DEVICES: AuditRequest['devices'] = ['phone-list', 'tablet-list', 'computer-list'];
const LANGUAGES: AuditRequest['languages'] = ['en'];

/** What is to be said about a code, and free codes near it. */
export interface Verdict {
  /** Worst first. */
  readonly findings: readonly Finding[];
  readonly proposals: readonly string[];
}

interface List {
  readonly shortcuts: readonly Shortcut[];
  readonly sets: readonly ShortcutSet[];
}

/**
 * The page's side of the audit: one worker a tab, made when first asked; it is told of the list once
 * and of every edit after. A worker that fails is ended, and made anew with the next question.
 */
export class AuditClient {
  private worker: Worker | null = null;
  private desk: Remote<AuditDesk> | null = null;
  /** The list as the worker knows it. */
  private known: readonly Shortcut[] = [];
  /** Questions wait for what was told before them. */
  private told: Promise<unknown> = Promise.resolve();

  constructor(private readonly makeWorker: () => Worker = () => new Worker('/audit-worker.js')) {}

  /**
   * What would be found about a shortcut of the list if it were saved so, and, where that is more than a
   * note, codes to take instead. Null: no answer is to be had.
   */
  async verdict(list: List, shortcut: AuditedShortcut): Promise<Verdict | null> {
    try {
      const desk = this.tell(list);
      await this.told;
      const findings = await desk.verdict(shortcut);
      if (!findings) return null;
      return { findings, proposals: findings.some(asksForAnotherCode) ? await desk.proposals(shortcut) : [] };
    } catch {
      this.end();
      return null;
    }
  }

  /** Tells the worker what it does not know of the list. */
  private tell(list: List): Remote<AuditDesk> {
    const isNew = this.desk === null;
    const desk = (this.desk ??= this.start());
    if (isNew) {
      const ruled: RuledList = { sets: list.sets.map(({ id }) => ({ id })), shortcuts: list.shortcuts.map(audited) };
      this.told = desk.run({ list: ruled, devices: DEVICES, languages: LANGUAGES });
    } else {
      const change = changeBetween(this.known, list.shortcuts);
      if (change) {
        const told: AuditChange = { put: change.put.map(audited), remove: change.remove };
        this.told = this.told.then(() => desk.change(told));
      }
    }
    this.known = list.shortcuts;
    return desk;
  }

  private start(): Remote<AuditDesk> {
    this.worker = this.makeWorker();
    // Questions that it leaves unanswered stay so; the next one goes to another.
    this.worker.addEventListener('error', () => this.end());
    return wrap<AuditDesk>(this.worker);
  }

  private end(): void {
    this.worker?.terminate();
    this.worker = null;
    this.desk = null;
    this.told = Promise.resolve();
  }
}

function audited({ id, code, content, kind, setId }: Shortcut): AuditedShortcut {
  return { id, code, content, kind, setId };
}
