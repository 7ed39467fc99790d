import { useState } from 'react';
import { View } from 'react-native';
import { outbox } from '@/data/client';
import type { Write } from '@cordel/client';
import { Leaf } from './Leaf';
import { Press } from './Press';
import { Txt } from './Txt';
import { saveFile } from './saveFile';

/** How a write stands, in words. */
function writeStanding({ state, problem, unsafe, unknown, failures }: Write): string {
  if (unknown)
    return 'Made by a newer version of this page: it is kept here, and sent once this page is up to date.';
  if (state === 'refused') return `Not accepted: ${problem}`;
  if (state === 'set aside') return `Set aside after ${failures} attempts: ${problem}`;
  if (unsafe)
    return 'Not safe yet: this device has no room to store it. Keep the page open until it is sent.';
  return 'Waits to be sent.';
}

/** A write of the outbox: what it holds, a copy of it, and the ways on. */
export function OutboxItem({ write }: { write: Write }) {
  const [open, setOpen] = useState(false);
  const [dropping, setDropping] = useState(false);
  const text = JSON.stringify(write, null, 2);
  const done = write.state !== 'waiting';
  return (
    <Leaf style={{ gap: 8 }}>
      <Txt kind="strong">{write.label}</Txt>
      <Txt ink={done || write.unsafe ? 'accent' : 'ink2'}>{writeStanding(write)}</Txt>
      {open ? (
        <Txt kind="small" selectable style={{ fontFamily: 'monospace' }}>
          {text.slice(0, 4000)}
        </Txt>
      ) : null}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {done ? <Press label="Send again" onPress={() => void outbox.retry(write.id)} /> : null}
        <Press
          label={open ? 'Hide what it holds' : 'What it holds'}
          aria-expanded={open}
          onPress={() => setOpen(!open)}
        />
        <Press
          label="Save a copy"
          icon="download"
          onPress={() => saveFile(`write-${write.id}.json`, text, 'application/json')}
        />
        {dropping ? (
          <Press
            label="Drop it for good"
            look="next"
            onPress={() => void outbox.discard(write.id)}
          />
        ) : (
          <Press label="Drop it" onPress={() => setDropping(true)} />
        )}
      </View>
    </Leaf>
  );
}
