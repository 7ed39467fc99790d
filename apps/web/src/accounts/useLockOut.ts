import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answerOf } from '@cordel/client';
import { api } from '@/data/api';
import type { useTask } from './useTask';

/** Locks a lost device out, and says that it is. What names devices is asked for again. */
export function useLockOut({ run }: Pick<ReturnType<typeof useTask>, 'run'>) {
  const client = useQueryClient();
  const [isLocked, setLocked] = useState(false);
  const lockOut = async (deviceId: string) => {
    setLocked(
      await run(() =>
        answerOf(api.POST('/api/devices/{deviceId}/lock-out', { params: { path: { deviceId } } })),
      ),
    );
    for (const key of ['sessions', 'people', 'trail'])
      void client.invalidateQueries({ queryKey: [key] });
  };
  return { isLocked, lockOut };
}
