/** What a key does to the figure typed so far. */
export function typeKey(keys: string, key: string, signed: boolean): string {
  if (key === 'back') return keys.slice(0, -1);
  if (key === 'sign') return !signed ? keys : keys.startsWith('-') ? keys.slice(1) : `-${keys}`;
  if (key === '.') return keys.includes('.') ? keys : `${keys}.`;
  return keys.replace('-', '').length >= 6 ? keys : keys + key;
}
