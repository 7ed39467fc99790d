import jsQR from 'jsqr';
import type { Cable } from '../record/cable.ts';
import { closureView } from './closure.testing.ts';
import {
  LABEL_SHEETS,
  PAPERS,
  type LabelTask,
  labelSvg,
  labelTask,
  labelsOf,
  placesOn,
  qrPath,
  qrSquares,
} from './labels.ts';
import { parseCode, shortCode } from './shortCode.ts';

const { closure } = closureView();
const task: LabelTask = {
  origin: 'https://cordel.example',
  project: 'Mill <line> & “more”',
  practiceOnly: false,
  closure,
  trays: new Map([[1, 'A 1 to A 12']]),
  cables: [{ name: 'A', makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 } }],
};

/** Reads a QR code from its squares, as a camera would see them: by a library that did not make them. */
function scanned(squares: boolean[][]): string | undefined {
  const scale = 4;
  const side = (squares.length + 8) * scale;
  const pixels = new Uint8ClampedArray(side * side * 4).fill(255);
  squares.forEach((row, y) =>
    row.forEach((dark, x) => {
      if (!dark) return;
      for (let dy = 0; dy < scale; dy++)
        for (let dx = 0; dx < scale; dx++) {
          const at = ((y + 4) * scale + dy) * side + (x + 4) * scale + dx;
          pixels.fill(0, at * 4, at * 4 + 3);
        }
    }),
  );
  return jsQR(pixels, side, side)?.data;
}

describe('labels', () => {
  it('are made for the closure, each tray and each cable', () => {
    const labels = labelsOf(task, ['closure', 'tray', 'cable']);
    expect(labels.map(({ title }) => title)).toEqual([
      { code: 'closure', name: 'Mill lane' },
      { code: 'tray', tray: 1 },
      { code: 'tray', tray: 2 },
      { code: 'tray', tray: 3 },
      { code: 'cable', name: 'A' },
    ]);
    expect(labels[1]!.lines).toEqual([
      { code: 'name', name: 'Mill lane' },
      { code: 'fibers', fibers: 'A 1 to A 12' },
    ]);
    expect(labels[2]!.lines[1]).toEqual({ code: 'empty' });
    expect(labelsOf(task, ['cable'])).toHaveLength(1);
  });

  it('say what lies on a tray and what a cable is', () => {
    const view = closureView();
    const cables = ['A', 'B', 'C'].map((name) => ({
      id: name,
      name,
      makeUp: { kind: 'loose-tube', tubes: 12, fibersPerTube: 12 },
    })) as unknown as Cable[];
    const splices = view.splices.map(({ splice }) => splice);
    const project = { name: 'Mill line', practiceOnly: false };
    const made = labelTask('https://x', project, closure, splices, view.assembly, cables);
    expect(made.trays.get(1)).toBe('A 1-2');
    expect(made.trays.has(3)).toBe(false);
    expect(made.cables.map(({ name }) => name)).toEqual(['A', 'B']);
    expect(made.cables[0]!.makeUp).toEqual(cables[0]!.makeUp);
    const gap = splices.map((splice, at) => ({
      ...splice,
      tray: 1,
      fiberA: at < 2 ? at + 1 : at + 5,
    }));
    expect(labelTask('', project, closure, gap, null, cables).trays.get(1)).toBe('A 1-2, 7-8');
  });

  it('of a practice project all say so', () => {
    const project = { name: 'Demo', practiceOnly: true };
    const view = closureView();
    const splices = view.splices.map(({ splice }) => splice);
    const made = labelTask('https://x', project, closure, splices, view.assembly, []);
    const labels = labelsOf(made, ['closure', 'tray']);
    expect(labels.length).toBeGreaterThan(2);
    for (const { lines } of labels) expect(lines[0]).toMatchObject({ code: 'practice' });
  });

  it('are read by another library, and lead to the closure', () => {
    for (const label of labelsOf(task, ['closure', 'tray'])) {
      const url = new URL(scanned(qrSquares(label.url))!);
      expect(url.href).toBe(label.url);
      expect(parseCode(url.pathname.split('/').at(-1)!)).toEqual({
        ok: true,
        value: shortCode(closure.id),
      });
    }
  });

  it('draw every dark square once', () => {
    const squares = qrSquares('https://cordel.example/c/4K7M-Q2ZX');
    const dark = squares.flat().filter(Boolean).length;
    const drawn = [...qrPath(squares).matchAll(/h(\d+)v1/g)].reduce(
      (sum, [, run]) => sum + Number(run),
      0,
    );
    expect(drawn).toBe(dark);
  });

  it.each(LABEL_SHEETS.map((sheet) => [sheet.name, sheet] as const))(
    'lie on their paper: %s',
    (_, sheet) => {
      const each = sheet.columns * sheet.rows;
      const places = placesOn(sheet, each + 1);
      const [width, height] = PAPERS[sheet.paper];
      for (const { x, y } of places) {
        expect(x).toBeGreaterThanOrEqual(0);
        expect(x + sheet.width).toBeLessThanOrEqual(width);
        expect(y + sheet.height).toBeLessThanOrEqual(height);
      }
      expect(sheet.across).toBeGreaterThanOrEqual(sheet.width);
      expect(sheet.down).toBeGreaterThanOrEqual(sheet.height);
      expect(places.at(-1)).toEqual({ page: 1, x: sheet.left, y: sheet.top });
      // A square of the code is no smaller than a printer and a phone can tell: 0.3 mm.
      const squares = qrSquares(`${task.origin}/c/${shortCode(closure.id)}?tray=12`).length + 8;
      expect(Math.min(sheet.height, sheet.width / 2) / squares).toBeGreaterThan(0.3);
    },
  );

  it('are whole SVG, whatever the names are', () => {
    const svg = labelSvg(
      { ...labelsOf(task, ['closure'])[0]!, title: 'Mill', lines: [task.project] },
      LABEL_SHEETS[0]!,
    );
    expect(svg).toContain('Mill &#60;line&#62; &#38; “more”');
    expect(svg).toMatch(/^<svg [^>]*width="64mm" height="33.9mm"/);
    expect(svg).not.toContain('NaN');
  });
});
