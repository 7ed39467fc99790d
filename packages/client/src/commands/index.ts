import type { Command } from './command.ts';
import { importSplicerRecords, logInstruments, saveInstrument, setRecordsAside } from './bench.ts';
import { saveCable } from './cables.ts';
import { addPhoto, appendClosing } from './closing.ts';
import { saveClosure } from './closures.ts';
import { recordEvidence } from './evidence.ts';
import { askForPackage, stopPackage } from './handover.ts';
import { importDocument, importRoute, importSpliceList } from './imports.ts';
import { recordLinks } from './links.ts';
import { savePlan } from './plan.ts';
import { changeAssemblyOf, saveHardware } from './prep.ts';
import { saveProject } from './projects.ts';
import { archiveRecord, deleteRecord } from './records.ts';
import { saveScheme } from './schemes.ts';
import { addTrace, placeTraces, recordTraceReadings } from './traces.ts';

/** All that a page writes, each by its own name in the code. */
export const commands = {
  addPhoto,
  addTrace,
  appendClosing,
  archiveRecord,
  askForPackage,
  changeAssemblyOf,
  deleteRecord,
  importDocument,
  importRoute,
  importSpliceList,
  importSplicerRecords,
  logInstruments,
  placeTraces,
  recordEvidence,
  recordLinks,
  recordTraceReadings,
  saveCable,
  saveClosure,
  saveHardware,
  saveInstrument,
  savePlan,
  saveProject,
  saveScheme,
  setRecordsAside,
  stopPackage,
};

/** The same by the names under which they are stored. */
export const COMMANDS: ReadonlyMap<string, Command> = new Map(
  Object.values<Command>(commands).map((one) => [one.name, one]),
);
