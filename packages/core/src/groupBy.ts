/**
 * Items by what they have in common, in the order in which they come. As the language's own Map.groupBy
 * (ECMAScript 2024, section 24.1.2.1), which Node 20 does not have.
 */
export function groupBy<Item, Key>(
  items: Iterable<Item>,
  keyOf: (item: Item) => Key,
): Map<Key, Item[]> {
  const groups = new Map<Key, Item[]>();
  for (const item of items) {
    const key = keyOf(item);
    const group = groups.get(key);
    if (group) group.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
