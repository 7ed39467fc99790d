const parts = (cursor: string): [bigint, number] => {
  const [xact = '0', seq = '0'] = cursor.split('-');
  return [BigInt(xact), Number(seq)];
};

/** Whether a place among a project's changes is behind another. */
export function isAfter(a: string, b: string): boolean {
  const [[xactA, seqA], [xactB, seqB]] = [parts(a), parts(b)];
  return xactA === xactB ? seqA > seqB : xactA > xactB;
}
