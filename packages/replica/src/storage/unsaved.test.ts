import { v7 as uuid } from 'uuid';

import { openDatabase } from './database';
import { isNewPlace, newPlace, UnsavedForms } from './unsaved';

const formAt = (place: string, code: string, changed: number) => ({ place, values: { code }, changed });

describe('forms that are not saved yet', () => {
  test('are there again after a reload, the last one first', async () => {
    const db = await openDatabase(uuid());
    const forms = await UnsavedForms.open(db);
    const [first, second] = [newPlace(), newPlace()];
    forms.keep(formAt(first, ';a', 1_000));
    forms.keep(formAt(second, ';b', 2_000));
    forms.keep(formAt(first, ';ab', 3_000));
    await forms.settled();
    const again = await UnsavedForms.open(db);
    expect(again.all.map(({ values }) => values['code'])).toEqual([';ab', ';b']);
    expect(again.at(second)).toEqual(formAt(second, ';b', 2_000));
  });

  test('go one by one, and come back', async () => {
    const db = await openDatabase(uuid());
    const forms = await UnsavedForms.open(db);
    const [first, second] = [newPlace(), newPlace()];
    forms.keep(formAt(first, ';a', 1_000));
    forms.keep(formAt(second, ';b', 2_000));
    const dropped = forms.drop(second);
    await forms.settled();
    expect((await UnsavedForms.open(db)).all).toEqual([formAt(first, ';a', 1_000)]);
    forms.keep(dropped!);
    await forms.settled();
    expect((await UnsavedForms.open(db)).all).toHaveLength(2);
    expect(forms.drop('not there')).toBeUndefined();
  });

  test('tell those who show them, and give the same array until then', async () => {
    const forms = await UnsavedForms.open(await openDatabase(uuid()));
    const before = forms.all;
    let told = 0;
    const stop = forms.subscribe(() => (told += 1));
    expect(forms.all).toBe(before);
    forms.keep(formAt('one', ';a', 1_000));
    forms.drop('one');
    forms.drop('one');
    stop();
    forms.keep(formAt('one', ';a', 1_000));
    expect(told).toBe(2);
  });

  test('of two tabs do not overwrite each other', async () => {
    const db = await openDatabase(uuid());
    const [here, there] = [await UnsavedForms.open(db), await UnsavedForms.open(db)];
    here.keep(formAt('one', ';a', 1_000));
    there.keep(formAt('two', ';b', 2_000));
    await Promise.all([here.settled(), there.settled()]);
    expect((await UnsavedForms.open(db)).all).toHaveLength(2);
  });

  test('a place of a new shortcut is told from one that is saved', () => {
    expect([isNewPlace(newPlace()), isNewPlace(uuid())]).toEqual([true, false]);
    expect(newPlace()).not.toBe(newPlace());
  });
});
