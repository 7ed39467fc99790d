import { useLocalSearchParams, usePathname, useRouter } from 'expo-router';
import {
  GROUP_VERDICTS,
  type GroupVerdict,
  LEDGER_SORTS,
  SPLICE_STAGES,
  type SpliceStage,
} from '@cordel/core';

export const VIEWS = ['closures', 'trays', 'fibers', 'splices', 'redo'] as const;
export type LedgerView = (typeof VIEWS)[number];
/** Closures are all at hand, and can be sorted by every figure that a row shows. */
export const CLOSURE_SORTS = [...LEDGER_SORTS, 'name', 'done', 'redo', 'trays'] as const;
export type LedgerSort = (typeof CLOSURE_SORTS)[number];

export type LedgerFilter = SpliceStage | GroupVerdict;

/** What the Ledger shows, all of it in the address, so that it can be linked and gone back to. */
export interface LedgerParams {
  view: LedgerView;
  q: string;
  /** `1` while the search shows all it finds, and not the list that is open. */
  found: string;
  /** A state of splices, or a verdict of groups. */
  verdict: LedgerFilter | '';
  closure: string;
  sort: LedgerSort;
  /** The row whose record is open: `splice.ID`, `fiber.CABLE.NUMBER`, `closure.ID`, `cable.ID`. */
  open: string;
}

const one = <Value extends string>(
  known: readonly Value[],
  value: string | undefined,
  otherwise: Value,
): Value => known.find((entry) => entry === value) ?? otherwise;

export function useLedgerParams() {
  const raw = useLocalSearchParams<Record<string, string>>();
  const router = useRouter();
  const path = usePathname();
  const view = one(VIEWS, raw.view, 'closures');
  const params: LedgerParams = {
    view,
    q: raw.q ?? '',
    found: raw.q ? (raw.found ?? '') : '',
    verdict: one<LedgerFilter | ''>([...SPLICE_STAGES, ...GROUP_VERDICTS], raw.verdict, ''),
    closure: raw.closure ?? '',
    sort: one<LedgerSort>(view === 'closures' ? CLOSURE_SORTS : LEDGER_SORTS, raw.sort, 'route'),
    open: raw.open ?? '',
  };
  const address = (change: Partial<LedgerParams>) => {
    const search = new URLSearchParams();
    for (const [key, value] of Object.entries({ ...params, ...change }))
      if (value) search.set(key, value);
    return `${path}?${search}` as never;
  };
  return {
    params,
    /** Changes what is shown in place. */
    set: (change: Partial<LedgerParams>) => router.replace(address(change)),
    /** Changes it as a step that the browser's back button takes back. */
    go: (change: Partial<LedgerParams>) => router.push(address(change)),
  };
}
