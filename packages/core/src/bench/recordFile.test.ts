import { openRecordFile } from './openRecordFile.ts';
import { matchRecordColumns, readRecordTable, recordDateOrder } from './recordFile.ts';
import { splicerRecord } from './records.testing.ts';

const CLOCK = '2026-05-04T22:00:00.000Z';
const table = (text: string) => {
  const file = openRecordFile(text);
  if (!file.ok || file.value.kind !== 'table') throw new Error('No table.');
  return file.value;
};
const read = (text: string, timeZone = 'UTC') => {
  const file = table(text);
  const found = recordDateOrder(file.rows, file.match);
  const order = found === 'dmy' ? 'dmy' : 'mdy';
  return readRecordTable(file, { clock: CLOCK, timeZone, order });
};

describe('a splicer’s file as a table', () => {
  it('matches titles by what they say', () => {
    expect(
      matchRecordColumns([
        'No.',
        'Date',
        'Splice loss (dB)',
        'Cleave angle L',
        'Cleave angle R',
        'Error',
      ]),
    ).toMatchObject({
      number: 0,
      at: 1,
      estimate: 2,
      cleaveLeft: 3,
      cleaveRight: 4,
      error: 5,
      arcs: null,
    });
  });

  it('makes a record of a row, losses in thousandths', () => {
    const { records, problems } = read(
      'no;time;estimate;cleave left;tension\n7;2026-05-04 20:15:00;0.02;0.4;passed',
    );
    expect(problems).toEqual([]);
    expect(records).toEqual([
      expect.objectContaining({
        number: 7,
        at: '2026-05-04T20:15:00.000Z',
        fused: true,
        tension: 'passed',
      }),
    ]);
    expect(records[0]!.fibers[0]).toMatchObject({ position: 1, estimateMdb: 20, cleaveLeft: 0.4 });
  });

  it('puts rows of one number together as a ribbon, in the order of its fibers', () => {
    const rows = Array.from({ length: 12 }, (_, at) => `5,${12 - at},0.0${at % 3}`);
    const { records } = read(['number,fiber,estimate', ...rows].join('\n'));
    expect(records).toHaveLength(1);
    expect(records[0]!.fibers.map(({ position }) => position)).toEqual([
      1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12,
    ]);
  });

  it('reads a comma as the decimal sign, as files with semicolons have it', () => {
    expect(read('number;estimate\n1;0,02').records[0]!.fibers[0]!.estimateMdb).toBe(20);
  });

  it('keeps what makes no sense as it came, for it to be asked about', () => {
    expect(
      read('number,estimate\n1,-0.5\n2,99').records.map(({ fibers }) => fibers[0]!.estimateMdb),
    ).toEqual([-500, 99_000]);
  });

  it.each([
    ['no number', 'number,estimate\nx,0.02', { code: 'noFigure', text: 'x' }],
    ['a figure with letters', 'number;estimate\n1;0,0x', { code: 'noFigure', text: '0,0x' }],
    [
      'a fiber twice',
      'number,fiber,estimate\n1,3,0.02\n1,3,0.03',
      { code: 'fiberTwice', number: 1, fiber: 3 },
    ],
    ['a thirteenth fiber', 'number,fiber,estimate\n1,13,0.02', { code: 'holderPlaces' }],
    [
      'a strange error',
      'number,estimate,error\n1,0.02,moon',
      { code: 'unknownError', text: 'moon' },
    ],
  ])('names the row of %s', (_, text, message) => {
    const { problems } = read(text);
    expect(problems.at(0)).toMatchObject({ message });
    expect(problems[0]!.row).toBeGreaterThan(1);
  });

  it('passes over what stands above the titles, and reads a day and a time of two columns', () => {
    const text = [
      'Splicing report,,,',
      'Unit 7,,,',
      'Date,Time,Splice No.,Est. loss (dB)',
      '13/05/2026,2:15:30 PM,7,0.02',
      '14/05/2026,08:00,8,x',
    ].join('\n');
    const { records, problems } = read(text, 'America/Denver');
    // Denver is six hours behind UTC in May (IANA time zone database).
    expect(records).toMatchObject([{ number: 7, at: '2026-05-13T20:15:30.000Z' }]);
    expect(problems).toMatchObject([{ row: 5, column: 'estimate, dB' }]);
    expect(matchRecordColumns(['Time', 'Date', 'No', 'dB'])).toMatchObject({ at: 0, date: 1 });
    expect(matchRecordColumns(['Date time', 'No', 'dB'])).toMatchObject({ at: 0, date: null });
  });

  it('asks for the columns it needs', () =>
    expect(read('a,b\n1,2').problems.map(({ column }) => column)).toEqual([
      'number',
      'estimate, dB',
    ]));
});

describe('a splicer’s file in lines of JSON', () => {
  it('reads what it wrote, and names the line that is cut off', () => {
    const { id: _id, projectId: _project, splicerId: _splicer, ...line } = splicerRecord();
    const text = `${JSON.stringify(line)}\n${JSON.stringify(line).slice(0, 80)}`;
    const file = openRecordFile(text);
    expect(file).toMatchObject({
      ok: true,
      value: {
        kind: 'lines',
        read: {
          records: [line],
          problems: [{ row: 2, message: { code: 'lineCut' } }],
        },
      },
    });
  });

  it('refuses an empty file', () => expect(openRecordFile(' ')).toMatchObject({ ok: false }));
});
