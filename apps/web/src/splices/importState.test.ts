import {
  type ImportEvent,
  type ImportState,
  NO_IMPORT,
  importReducer,
  isSettled,
} from './importState';

const after = (...events: readonly object[]): ImportState =>
  (events as ImportEvent[]).reduce(importReducer, NO_IMPORT);

const file = { name: 'list.csv', rows: 3 };
const read = { code: 'read', file, match: { closure: 0 } };
const cable = (name: string, typed: string) => ({
  id: name,
  name,
  typed,
  schemeId: 'own',
  edited: false,
});
const preview = { splices: 3, problemCount: 0 };
const checked = { code: 'checked', preview };

describe('a list that is imported', () => {
  it('is read, checked and imported', () => {
    const reading = { code: 'reading', name: 'list.csv' };
    expect(after(reading, { code: 'rowsRead', rows: 2 })).toMatchObject({
      work: { code: 'reading', name: 'list.csv', rows: 2 },
    });
    // A count that comes late changes nothing of what was read.
    expect(after(reading, read, checked, { code: 'rowsRead', rows: 3 })).toMatchObject({
      work: null,
      preview,
    });
    expect(after(read)).toMatchObject({ file, match: { closure: 0 }, work: null });
    const importing = after(read, checked, { code: 'importing' });
    expect(importing.work).toEqual({ code: 'importing', splices: 3 });
    const done = importReducer(importing, {
      code: 'imported',
      result: { splices: 3, closures: 1, cables: 2 },
    });
    expect(done).toMatchObject({ work: null, result: { splices: 3 } });
  });

  it('that cannot be read says so at its name, and leaves nothing to import', () => {
    const state = after(
      read,
      checked,
      { code: 'reading', name: 'b.csv' },
      {
        code: 'notRead',
        name: 'b.csv',
        problem: { code: 'empty' },
      },
    );
    expect(state).toMatchObject({
      file: null,
      preview: null,
      work: null,
      error: { code: 'file', name: 'b.csv', problem: { code: 'empty' } },
    });
  });

  it('keeps what was typed of a cable when columns change, and proposes the others anew', () => {
    const state = after(
      read,
      { code: 'cablesFound', cables: [cable('A', '12'), cable('B', '24')] },
      { code: 'cableEdited', cable: cable('A', '144') },
      { code: 'matched', match: { closure: 1 } },
      { code: 'cablesFound', cables: [cable('A', '12'), cable('B', '48'), cable('C', '2')] },
    );
    expect(state.newCables).toMatchObject([
      { name: 'A', typed: '144', edited: true },
      { name: 'B', typed: '48', edited: false },
      { name: 'C', typed: '2' },
    ]);
    expect(after(read, { code: 'cablesFound', cables: [] }).newCables).toEqual([]);
  });

  it('that was refused is there as before, to be put right and sent again', () => {
    const error = new Error('Slot 4 is taken.');
    const state = after(
      read,
      { code: 'cablesFound', cables: [cable('A', '12')] },
      checked,
      { code: 'importing' },
      { code: 'refused', error },
    );
    expect(state).toMatchObject({ file, preview, newCables: [{ name: 'A' }], result: null });
    expect(state.error).toEqual({ code: 'refused', error });
    expect(isSettled(state)).toBe(false);
    const fixed = importReducer(state, { code: 'fixed' });
    expect(fixed.error).toBeNull();
    // It is another file to whoever checks it.
    expect(fixed.file).not.toBe(state.file);
    expect(fixed.file).toEqual(state.file);
  });

  it('is not checked against itself while it is imported or once it is in', () => {
    const importing = after(read, checked, { code: 'importing' });
    const late = { ...preview, problemCount: 3 };
    for (const state of [
      importing,
      importReducer(importing, {
        code: 'imported',
        result: { splices: 3, closures: 0, cables: 0 },
      }),
    ]) {
      expect(isSettled(state)).toBe(true);
      for (const event of [
        { code: 'checked', preview: late },
        { code: 'checking', rows: 1, of: 3 },
        { code: 'projectUnread', error: new Error() },
      ])
        expect(importReducer(state, event as never)).toBe(state);
    }
  });

  it('waits where the project was not read, which is not taken for a project without splices', () => {
    const unread = after(read, { code: 'projectUnread', error: new Error('away') });
    expect(unread).toMatchObject({ error: { code: 'projectUnread' }, preview: null });
    expect(importReducer(unread, { code: 'projectRead' }).error).toBeNull();
    // Another error stays.
    const refused = after(read, checked, { code: 'refused', error: new Error('no') });
    expect(importReducer(refused, { code: 'projectRead' })).toBe(refused);
  });
});
