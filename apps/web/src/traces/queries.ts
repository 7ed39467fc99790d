import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import type { BudgetRow, Direction, LIGHTS, TracePlace } from '@cordel/core';
import type { Finding, TraceFacts } from '@cordel/core/otdr';
import { read } from '@/data/api';

export interface KeptTraceRow {
  id: string;
  name: string;
  digest: string;
  receivedAt: string;
  facts: TraceFacts;
  place: TracePlace | null;
}

export const useTraces = (projectId: string) =>
  useQuery({
    queryKey: ['traces', projectId],
    queryFn: () => read<KeptTraceRow[]>(`/api/projects/${projectId}/traces`),
  });

export interface ProofAnswer {
  traces: number;
  unplaced: number;
  circuits: { key: string; label: string; to: string }[];
  scale: number;
  corrections: { kind: string; closureId: string | null; words: string }[];
  problems: { kind: string; circuit: string | null; traces: string[]; words: string }[];
  findings: Finding[];
  ledger: { fresh: number; there: number; held: { count: number; why: string }[] };
}

export const useProof = (projectId: string) =>
  useQuery({
    queryKey: ['proof', projectId],
    queryFn: () => read<ProofAnswer>(`/api/projects/${projectId}/proof`),
  });

interface Figured {
  loss: number;
  sigma: number;
}

export interface CircuitAnswer {
  key: string;
  label: string;
  points: {
    closureId: string | null;
    name: string;
    tray: number | null;
    spliceId: string | null;
    at: number | null;
  }[];
  spans: { cable: string; fiber: number; sheath: number | null }[];
  length: number;
  traces: {
    id: string;
    name: string;
    direction: Direction;
    wavelengthNm: number;
    start: number;
    stretch: number;
    end: number | null;
  }[];
  /** Traces of the fibers of its tube. */
  fellows: {
    fiber: number;
    id: string;
    direction: Direction;
    wavelengthNm: number;
    start: number;
    stretch: number;
    length: number;
  }[];
  joints: {
    point: number;
    wavelengthNm: number;
    forward: Figured | null;
    backward: Figured | null;
    mean: Figured | null;
    modeField: Figured | null;
  }[];
  totals: { wavelengthNm: number; mean: Figured | null }[];
  findings: Finding[];
}

export const useCircuit = (projectId: string, cableId: string, fiber: number) =>
  useQuery({
    queryKey: ['proof', projectId, 'circuit', cableId, fiber],
    queryFn: () =>
      read<CircuitAnswer>(`/api/projects/${projectId}/proof/circuits/${cableId}/${fiber}`),
    enabled: cableId !== '' && fiber > 0,
    placeholderData: (previous) => previous,
  });

interface BudgetPage {
  total: number;
  counts: Partial<Record<(typeof LIGHTS)[number], number>>;
  rows: BudgetRow[];
}

const PAGE = 200;

export const useBudget = (projectId: string) =>
  useInfiniteQuery({
    queryKey: ['ledger', projectId, 'budget'],
    queryFn: ({ pageParam }) =>
      read<BudgetPage>(`/api/projects/${projectId}/budget?offset=${pageParam}&limit=${PAGE}`),
    initialPageParam: 0,
    getNextPageParam: (last, pages) => {
      const shown = pages.reduce((sum, page) => sum + page.rows.length, 0);
      return shown < last.total && last.rows.length > 0 ? shown : undefined;
    },
  });
