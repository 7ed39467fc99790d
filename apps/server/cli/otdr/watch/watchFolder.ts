import { resolve } from 'node:path';
import type { WatchEvent } from '@cordel/text/otdr/watch';
import { type NameSetting, Watched } from './files.ts';
import { untilThere, whileThere } from './folder.ts';
import { CannotWatch, Server, openProject } from './server.ts';

/** A folder that an instrument writes into, and where its files go. */
export interface WatchOptions extends NameSetting {
  folder: string;
  /** Address of the server. */
  server: string;
  /** Name or id of the project; the only one where nothing is said. */
  project: string | null;
  /** By whom: needed where the server asks for an account. */
  account: { email: string; password: string } | null;
}

/**
 * Sends each trace file of a folder once it is whole, and tells what its traces show to be redone. What the server has is
 * not sent again, so that it may be stopped and begun anew at any time.
 * @throws CannotWatch where the server, the project or the account is not there from the beginning
 */
export async function watchFolder(
  options: WatchOptions,
  tell: (event: WatchEvent) => void,
  signal: AbortSignal,
): Promise<void> {
  const folder = resolve(options.folder);
  const server = new Server(options.server);
  const project = await openProject(server, options.project, options.account).catch(
    (error: unknown) => {
      if (error instanceof TypeError)
        throw new CannotWatch({ code: 'noServer', url: options.server });
      throw error;
    },
  );
  const traces = (await server.ask(`/projects/${project.id}/traces`)).body as { digest: string }[];
  const watched = new Watched(server, project, options, tell, signal);
  for (const { digest } of traces) watched.known.add(digest);
  tell({ code: 'watching', folder, project: project.name, known: traces.length });
  while (!signal.aborted) {
    await untilThere(folder, tell, signal);
    if (signal.aborted) break;
    await whileThere(folder, (path) => watched.add(path), signal);
  }
  await watched.done();
}
