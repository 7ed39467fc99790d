import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Unreached, answerOf } from '@cordel/client';
import { errorText } from '@cordel/text/record';
import { type Sending, api, sendProjectFile } from '@/data/api';
import { pickFile } from '@/ui/pickFile';

const readImports = () => answerOf(api.GET('/api/imports'));

/** An import that the server has under way. */
export type ImportUnderWay = Awaited<ReturnType<typeof readImports>>[number];

/** The file that this page sends; `failed` with what the server said of it, `unanswered` where it said nothing. */
type FileState =
  | { stage: 'none' }
  | { stage: 'sending'; name: string; sent: number; size: number }
  | { stage: 'failed' | 'unanswered'; name: string; message: string };

/** How often the server is asked how far it is, ms, while there is something to tell. */
const ASK_MS = 700;

export type Importing = ReturnType<typeof useProjectImport>;

/** Brings in whole projects by their files, and shows those that come in, whoever sent them. */
export function useProjectImport(onDone: (projectId: string) => void) {
  const client = useQueryClient();
  const [state, setState] = useState<FileState>({ stage: 'none' });
  const sending = useRef<Sending | null>(null);
  const isSending = state.stage === 'sending';
  const underWay = useQuery({
    queryKey: ['imports'],
    queryFn: readImports,
    refetchInterval: ({ state: { data } }) =>
      isSending || data?.some(({ stage }) => stage !== 'failed') ? ASK_MS : false,
  });
  /** Who has left the page is not taken to a project. */
  const isHere = useRef(true);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
    };
  }, []);
  const count = underWay.data?.length ?? 0;
  useEffect(() => {
    // One that somebody else sent is a project by now.
    void client.invalidateQueries({ queryKey: ['projects'] });
  }, [client, count]);
  const start = async () => {
    const file = await pickFile('.zip,.json,application/zip,application/json');
    if (!file) return;
    const { name, size } = file;
    setState({ stage: 'sending', name, sent: 0, size });
    sending.current = sendProjectFile(file, (sent) =>
      setState({ stage: 'sending', name, sent: Math.min(sent, size), size }),
    );
    try {
      const { id } = await sending.current.answer;
      await client.refetchQueries({ queryKey: ['imports'] });
      setState({ stage: 'none' });
      if ((await isIn(id)) && isHere.current) onDone(id);
    } catch (error) {
      const stage = error instanceof Unreached ? 'unanswered' : 'failed';
      setState({ stage, name, message: errorText(error as Error) });
    }
  };
  /** Stops the file on its way; one that has arrived is stopped as the server's import. */
  const stopSending = () => sending.current?.stop();
  const stop = async (projectId: string) => {
    await api.DELETE('/api/imports/{projectId}', { params: { path: { projectId } } });
    void client.invalidateQueries({ queryKey: ['imports'] });
  };
  return { state, underWay: underWay.data ?? [], start, stopSending, stop };
}

/** Waits until an import is over. @returns whether the project is there: it may have failed or been stopped */
async function isIn(projectId: string): Promise<boolean> {
  for (;;) {
    // Who is not reached is asked again: it goes on without this page.
    const imports = await readImports().catch(() => null);
    const own = imports?.find((one) => one.projectId === projectId);
    if (imports && !own) break;
    if (own?.stage === 'failed') return false;
    await new Promise((resolve) => setTimeout(resolve, ASK_MS));
  }
  const projects = await answerOf(api.GET('/api/projects'));
  return projects.some(({ id }) => id === projectId);
}
