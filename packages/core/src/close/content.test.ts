import { BUILT_IN_LIMITS } from '../loss/profiles.ts';
import { scribe } from '../loss/scribe.testing.ts';
import { closureView, said, signedBy, visited } from './closure.testing.ts';
import { type ClosureRecord, changesSince, entriesToSign, sealRecord } from './content.ts';

const view = closureView();
const { attempt, oneWay, ruling } = scribe('splice 2');
const record: ClosureRecord = {
  format: 'cordel.closure',
  version: 2,
  project: {
    id: 'p',
    name: 'Line',
    practiceOnly: false,
    units: { distance: 'km' },
    limits: BUILT_IN_LIMITS[0]!,
  },
  closure: view.closure,
  hardware: view.hardware,
  assembly: view.assembly,
  plan: { closureId: view.closure.id, text: 'splice A 1-4 to B 1-4', pins: [], spare: 0 },
  cables: ['A', 'B'].map((name) => ({ id: name, name })) as unknown as ClosureRecord['cables'],
  splices: view.splices.map(({ splice }) => splice),
  retired: [],
  evidence: [attempt(20)],
  closing: [said('tray:1')],
  photos: [],
};

describe('what is signed', () => {
  it('has one digest for one content, and another for any change', () => {
    const { digest } = sealRecord(record);
    expect(digest).toMatch(/^[0-9a-f]{64}$/);
    const turned = Object.fromEntries(Object.entries(record).reverse()) as unknown as ClosureRecord;
    expect(sealRecord(turned).digest).toBe(digest);
    const changed = {
      ...record,
      evidence: [{ ...record.evidence[0]!, at: '2026-05-04T20:15:00.001Z' }],
    };
    expect(sealRecord(changed).digest).not.toBe(digest);
  });

  it('is other where a point was ticked under other words', () => {
    const read = (text: string) => ({ code: 'facesClean', parameters: {}, text });
    const ticked = said('faces', 'good', { read: read('Both sealing faces clean and dry') });
    const digestWith = (entry: typeof ticked) => sealRecord({ ...record, closing: [entry] }).digest;
    expect(digestWith({ ...ticked })).toBe(digestWith(ticked));
    expect(digestWith({ ...ticked, read: read('One sealing face clean') })).not.toBe(
      digestWith(ticked),
    );
  });

  it('is the same for the lead as for the technician, whose signature stands under it', () => {
    const entries = [visited(), said('tray:1')];
    expect(entriesToSign([...entries, signedBy('technician')])).toEqual(entries);
  });

  it('holds the signatures of visits before', () => {
    const before = [visited(), signedBy('technician'), signedBy('lead')];
    const entries = [...before, visited('mend', 'high tray')];
    expect(entriesToSign([...entries, signedBy('technician')])).toEqual(entries);
  });
});

/** Fibers of A that are spliced to the same of another cable. */
const pairs = (fibers: number[], cableB = 'B') => ({
  pairs: fibers.map((fiber) => ({ cableA: 'A', fiberA: fiber, cableB, fiberB: fiber })),
  most: 8,
});

describe('what changed since', () => {
  it('is nothing where nothing did', () => {
    expect(changesSince(record, structuredClone(record))).toEqual([]);
  });

  it('is nothing where only a later version knows more fields', () => {
    const id = (last: number) => `019da9e7-4800-7000-8000-00000000000${last}`;
    const assembly = {
      ...view.assembly!,
      entries: view.assembly!.entries.map((entry, index) => ({
        ...entry,
        id: id(index),
        cableId: id(index + 4),
        done: [{ step: 'ring', by: null, at: null, answers: {}, photos: [], override: null }],
      })),
    };
    const own = { ...view.hardware!, id: 'own' };
    const { access: _access, torqueMilliNm: _torque, procedure: _procedure, ...hardware } = own;
    const entries = assembly.entries.map(({ portOut: _portOut, ...entry }) => ({
      ...entry,
      done: ['ring'],
    }));
    const before = { ...record, hardware, assembly: { ...assembly, entries } };
    const now = { ...record, hardware: { ...own, access: 0 }, assembly };
    expect(changesSince(before as unknown as ClosureRecord, now)).toEqual([]);
    const moved = { ...now, hardware: { ...own, access: 500 } };
    expect(changesSince(before as unknown as ClosureRecord, moved)).toEqual([{ code: 'hardware' }]);
  });

  it('is not the profile that ships, which only a later version changes', () => {
    const later = { ...record, hardware: { ...record.hardware!, access: 500 } };
    expect(changesSince(record, later)).toEqual([]);
  });

  it('is said splice by splice', () => {
    const [first, second, ...rest] = record.splices;
    const after: ClosureRecord = {
      ...record,
      splices: [
        { ...first!, slot: 9 },
        ...rest,
        { ...second!, id: 'splice 9', fiberA: 9, fiberB: 9 },
      ],
      evidence: [...record.evidence, { ...oneWay('AB', 1310, 40), spliceId: 'splice 3' }],
      closing: [...record.closing, visited('mend', 'tray 2 is high'), said('tray:2')],
      assembly: { ...record.assembly!, entries: record.assembly!.entries.slice(1) },
    };
    expect(changesSince(record, after)).toEqual([
      { code: 'openedAgainFor', by: 'M.', why: 'tray 2 is high' },
      { code: 'added', splices: pairs([9]) },
      { code: 'dropped', splices: pairs([2]) },
      { code: 'moved', splices: pairs([1]) },
      { code: 'measured', entries: 1, splices: pairs([3]) },
      { code: 'closingEntries', entries: 1 },
      { code: 'assembly' },
    ]);
  });

  it('tells splices that were removed from those that were only planned', () => {
    const [, second, ...rest] = record.splices;
    const after: ClosureRecord = {
      ...record,
      splices: [...rest, { ...second!, id: 'splice 9', cableB: 'D' }],
      retired: [second!],
      cables: [...record.cables, { ...record.cables[0]!, id: 'D', name: 'D' }],
      evidence: [...record.evidence, ruling('retire', 'Cut-over to D.')],
    };
    expect(changesSince(record, after)).toEqual([
      { code: 'added', splices: pairs([2], 'D') },
      { code: 'removed', splices: pairs([2]) },
      { code: 'dropped', splices: pairs([1]) },
      { code: 'cable' },
    ]);
  });

  it('names the first few of many', () => {
    const many = Array.from({ length: 12 }, (_, index) => ({
      ...record.splices[0]!,
      id: `new ${index}`,
      fiberA: 50 + index,
    }));
    const [change] = changesSince(record, { ...record, splices: [...record.splices, ...many] });
    expect(change).toMatchObject({ code: 'added', splices: { most: 8 } });
  });
});
