import { useState } from 'react';
import type { RemovableKind } from '@cordel/core';
import { commands } from '@cordel/client';
import { removalShared as t } from '@cordel/text/pages/removal/shared';
import { errorText } from '@cordel/text/record';
import { outbox } from '@/data/client';

/** A record that a person may delete or archive. */
export interface Removable {
  kind: RemovableKind;
  id: string;
  name: string;
  /**
   * Reads what puts it back as it was, before it goes: each puts one command into the outbox.
   * Rejects where it cannot be read.
   */
  restoring(): Promise<((label: string) => unknown)[]>;
}

/** What last became of a record, for as long as it can be undone. */
interface Done {
  item: Removable;
  how: 'deleted' | 'archived' | 'taken back';
  undo(): void;
}

/** Deletes and archives records of a page, with undo. */
export function useRemoval() {
  const [done, setDone] = useState<Done | null>(null);
  const [problem, setProblem] = useState<{ item: Removable; message: string } | null>(null);

  /** True when it is gone. */
  const remove = async (item: Removable): Promise<boolean> => {
    setProblem(null);
    setDone(null);
    let back: Awaited<ReturnType<Removable['restoring']>>;
    try {
      back = await item.restoring();
    } catch (error) {
      setProblem({ item, message: errorText(error as Error) });
      return false;
    }
    const undo = () => {
      setDone(null);
      for (const putBack of back) putBack(t('namePutBack', { name: item.name }));
    };
    // Without a signal it waits in the outbox, and can be undone meanwhile.
    setDone({ item, how: 'deleted', undo });
    const { kind, id } = item;
    const outcome = await outbox.add(
      commands.deleteRecord,
      { kind, id },
      t('nameDeleted', { name: item.name }),
    );
    if (!('refused' in outcome)) return true;
    refuse(item, outcome);
    return false;
  };

  const refuse = (item: Removable, { refused, writeId }: { refused: Error; writeId: string }) => {
    // The reason and the way on stand here: nothing is left to do in the outbox.
    void outbox.discard(writeId);
    setDone(null);
    setProblem({ item, message: errorText(refused) });
  };

  const setArchived = (item: Removable, archived: boolean) => {
    setProblem(null);
    const write = async (value: boolean): Promise<void> => {
      const outcome = await outbox.add(
        commands.archiveRecord,
        { kind: item.kind, id: item.id, archived: value },
        `${item.name} ${value ? 'archived' : t('takenOutOfTheArchive')}`,
      );
      if ('refused' in outcome) refuse(item, outcome);
    };
    void write(archived);
    const undo = () => {
      setDone(null);
      void write(!archived);
    };
    setDone({ item, how: archived ? 'archived' : 'taken back', undo });
  };

  return { done, problem, remove, setArchived };
}

export type Removal = ReturnType<typeof useRemoval>;
