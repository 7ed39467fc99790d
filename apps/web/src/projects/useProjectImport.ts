import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { type Sending, read, send, sendFile } from '@/data/api';
import { pickFile } from '@/ui/pickFile';

/** An import that the server has under way. */
interface ImportUnderWay {
  projectId: string;
  name: string;
  stage: 'writing' | 'stopping' | 'clearing';
  /** Rows that are in, of all. */
  done: number;
  total: number;
}

/** The file that this page sends; `failed` with what the server said of it. */
type FileState =
  | { stage: 'none' }
  | { stage: 'sending'; name: string; sent: number; size: number }
  | { stage: 'failed'; name: string; message: string };

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
    queryFn: () => read<ImportUnderWay[]>('/api/imports'),
    refetchInterval: ({ state: { data } }) => (isSending || data?.length ? ASK_MS : false),
  });
  const count = underWay.data?.length ?? 0;
  useEffect(() => {
    // One that is over may be a project by now.
    if (count === 0) void client.invalidateQueries({ queryKey: ['projects'] });
  }, [client, count]);
  const start = async () => {
    const file = await pickFile('.zip,.json,application/zip,application/json');
    if (!file) return;
    const { name, size } = file;
    setState({ stage: 'sending', name, sent: 0, size });
    sending.current = sendFile('/api/documents', file, (sent) =>
      setState({ stage: 'sending', name, sent: Math.min(sent, size), size }),
    );
    try {
      const { id } = (await sending.current.answer) as { id: string };
      await client.invalidateQueries({ queryKey: ['projects'] });
      setState({ stage: 'none' });
      onDone(id);
    } catch (error) {
      setState({ stage: 'failed', name, message: (error as Error).message });
    }
    void client.invalidateQueries({ queryKey: ['imports'] });
  };
  /** Stops the file on its way; one that has arrived is stopped as the server's import. */
  const stopSending = () => sending.current?.stop();
  const stop = async (projectId: string) => {
    await send('DELETE', `/api/imports/${projectId}`, {});
    void client.invalidateQueries({ queryKey: ['imports'] });
  };
  return { state, underWay: underWay.data ?? [], start, stopSending, stop };
}
