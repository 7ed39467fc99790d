import { type EndWay, type Expanded, type ListCable, type Method, isDevice } from '@cordel/core';
import { deviceFiberText } from '@cordel/text/fiber';

/** A fiber that the plan puts onto a fiber of a device. */
export interface OnDevice {
  /** The device's own fiber. */
  fiber: number;
  /** The cable, or device, and the fiber that it meets. */
  cable: string;
  other: number;
  /** How that is called: `D 3`, `SP1 out 2`. */
  label: string;
  end: EndWay | null;
  method: Method;
}

type How = Pick<OnDevice, 'end' | 'method'>;

/** What a plan puts onto each device, by the device's name. */
export function onDevices(
  { joints }: Pick<Expanded, 'joints'>,
  cables: readonly ListCable[],
): Map<string, OnDevice[]> {
  const makeUps = new Map(cables.map(({ name, makeUp }) => [name, makeUp]));
  const found = new Map<string, OnDevice[]>();
  const labelOf = (cable: string, fiber: number) =>
    `${cable} ${deviceFiberText(makeUps.get(cable)!, fiber) ?? fiber}`;
  const put = (device: string, fiber: number, cable: string, other: number, how: How) => {
    if (!isDevice(makeUps.get(device)!)) return;
    const one = { fiber, cable, other, label: labelOf(cable, other), ...how };
    const own = found.get(device);
    if (own) own.push(one);
    else found.set(device, [one]);
  };
  for (const { cableA, fiberA, cableB, fiberB, end, method } of joints) {
    put(cableB, fiberB, cableA, fiberA, { end, method });
    put(cableA, fiberA, cableB, fiberB, { end, method });
  }
  return found;
}
