import { zodToOpenAPIRegistry } from '@asteasolutions/zod-to-openapi';
import type { z } from 'zod';
import * as core from '@cordel/core';
import { closingEntrySchema, photoSchema, recordChangeSchema } from '@cordel/core/close';
import { documentSchema } from '@cordel/core/document';
import {
  budgetMessageSchema,
  correctionMessageSchema,
  findingMessageSchema,
  proofMessageSchema,
  whereMessageSchema,
} from '@cordel/core/otdr';

/** Schemas that the API's description names, so that whoever reads it meets each of them once. */
const NAMED: Record<string, z.ZodType> = {
  Air: core.airSchema,
  Assembly: core.assemblySchema,
  AssemblyChange: core.assemblyChangeSchema,
  BudgetMessage: budgetMessageSchema,
  Cable: core.cableSchema,
  Closure: core.closureSchema,
  ClosingEntry: closingEntrySchema,
  ColourScheme: core.schemeSchema,
  CorrectionMessage: correctionMessageSchema,
  Evidence: core.evidenceSchema,
  FindingMessage: findingMessageSchema,
  Hardware: core.hardwareSchema,
  Instrument: core.instrumentSchema,
  InstrumentEntry: core.instrumentEntrySchema,
  Limits: core.limitsSchema,
  LinkEntry: core.linkEntrySchema,
  MakeUp: core.makeUpSchema,
  Photo: photoSchema,
  Project: core.projectSchema,
  ProjectDocument: documentSchema,
  ProofMessage: proofMessageSchema,
  ReceivedRecord: core.receivedRecordSchema,
  RecordChange: recordChangeSchema,
  SetAside: core.setAsideSchema,
  Splice: core.spliceSchema,
  SplicerRecord: core.splicerRecordSchema,
  Tray: core.traySchema,
  Units: core.unitsSchema,
  Upload: core.uploadSchema,
  WhereMessage: whereMessageSchema,
};

/** Names them. Only once all routes are made: what is made of a named schema, one that may be null too, would be named as it is. */
export function nameSchemas(): void {
  for (const [name, schema] of Object.entries(NAMED))
    zodToOpenAPIRegistry.add(schema as never, { _internal: { refId: name } } as never);
}
