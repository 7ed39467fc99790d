export * from './benchReducer.ts';
export * from './benchSplices.ts';
export * from './benchState.ts';
export * from './inHand.ts';
export * from './recordInHand.ts';
export * from './takeInOrder.ts';
