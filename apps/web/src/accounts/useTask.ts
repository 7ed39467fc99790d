import { useState } from 'react';
import { errorText } from '@cordel/text/record';

/** Something that is asked of the server: whether it is under way, and why it failed. */
export function useTask() {
  const [state, setState] = useState<{ busy: boolean; problem: string | null }>({
    busy: false,
    problem: null,
  });
  /** Resolves with whether it went well. */
  const run = async (work: () => Promise<unknown>): Promise<boolean> => {
    setState({ busy: true, problem: null });
    try {
      await work();
      setState({ busy: false, problem: null });
      return true;
    } catch (error) {
      setState({ busy: false, problem: errorText(error as Error) });
      return false;
    }
  };
  return { ...state, run, fail: (problem: string) => setState({ busy: false, problem }) };
}
