import type { Checkpoint } from '@cordel/core/close';
import { builder as say } from '@cordel/text/handover/builder';
import { VERIFY_SCRIPT } from '@cordel/text/handover/verifyScript';
import { PackageFile, writeWhole } from '../file.ts';
import type { ChainMessage, PackageContext, PackageWriter } from './packageWriter.ts';

/** The chain of the record, what the server signed of it, and what checks both without Cordel. */
export class ChainWriter implements PackageWriter {
  private readonly context: PackageContext;
  private links: PackageFile | null = null;
  private checkpoint: Checkpoint | null = null;

  constructor(context: PackageContext) {
    this.context = context;
  }

  async chain({ links, checkpoint }: ChainMessage): Promise<void> {
    const { folder } = this.context.open;
    this.checkpoint ??= checkpoint;
    if (links.length === 0) return;
    this.links ??= await PackageFile.open(folder, 'chain.jsonl', say('theChain'));
    await this.links.write(links.map((link) => `${JSON.stringify(link)}\n`).join(''));
  }

  async finish(): Promise<PackageFile[]> {
    if (!this.links || !this.checkpoint) return [];
    const { folder } = this.context.open;
    const text = `${JSON.stringify(this.checkpoint, null, 1)}\n`;
    return [
      await this.links.close(),
      await writeWhole(folder, 'checkpoint.json', say('theCheckpoint'), text),
      await writeWhole(folder, 'verify.mjs', say('theVerifier'), VERIFY_SCRIPT),
    ];
  }
}
