import { boundFigure, branchFigure, circuitFigure, planFigure, trayFigure } from './plan.ts';

const FIGURES = {
  'plan-lines': planFigure,
  'tray-layout': trayFigure,
  'tray-bound': boundFigure,
  circuits: circuitFigure,
  branches: branchFigure,
};

const wanted = process.argv.slice(2);
let missed = false;
for (const [name, measure] of Object.entries(FIGURES)) {
  if (wanted.length > 0 && !wanted.includes(name)) continue;
  const { ratio, limit, note } = measure();
  const ok = ratio <= limit;
  missed ||= !ok;
  console.log(`${name}  ${ratio.toFixed(2)}  limit ${limit}  ${ok ? 'ok' : 'MISS'}  (${note})`);
}
process.exit(missed ? 3 : 0);
