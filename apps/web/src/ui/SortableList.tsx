import {
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  arrayMove,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import type { ReactNode } from 'react';
import { sortableList as t } from '@cordel/text/pages/ui/SortableList';
import { IconShape } from './IconShape';
import { useColors } from './theme';

interface SortableListProps<Item> {
  items: readonly Item[];
  keyOf(item: Item): string;
  /** What an item is called, for its handle. */
  nameOf(item: Item): string;
  row(item: Item, index: number): ReactNode;
  onChange(items: Item[]): void;
}

/** A list whose rows are moved by their handles, with thumb, mouse or arrow keys. */
export function SortableList<Item>({
  items,
  keyOf,
  nameOf,
  row,
  onChange,
}: SortableListProps<Item>) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const move = ({ active, over }: DragEndEvent) => {
    const indexOf = (id: unknown) => items.findIndex((item) => keyOf(item) === id);
    if (over && active.id !== over.id)
      onChange(arrayMove([...items], indexOf(active.id), indexOf(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={move}>
      <SortableContext items={items.map(keyOf)} strategy={verticalListSortingStrategy}>
        {items.map((item, index) => (
          <SortableRow key={keyOf(item)} id={keyOf(item)} name={nameOf(item)}>
            {row(item, index)}
          </SortableRow>
        ))}
      </SortableContext>
    </DndContext>
  );
}

function SortableRow({ id, name, children }: { id: string; name: string; children: ReactNode }) {
  const colors = useColors();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
  });
  return (
    <div
      ref={setNodeRef}
      style={{
        display: 'flex',
        alignItems: 'flex-start',
        borderBottom: `1px solid ${colors.rule}`,
        background: colors.paper,
        position: 'relative',
        zIndex: isDragging ? 1 : 0,
        outline: isDragging ? `2px solid ${colors.ink}` : 'none',
        transform: CSS.Translate.toString(transform),
        transition: transition ?? '',
      }}
    >
      <div
        {...attributes}
        {...listeners}
        aria-label={t('moveName', { name })}
        // The page stays where it is while a thumb moves a row.
        style={{ touchAction: 'none', cursor: 'grab', padding: 12 }}
      >
        <IconShape name="drag-vertical" size={24} color={colors.ink} />
      </div>
      <div style={{ flex: 1, minWidth: 0 }}>{children}</div>
    </div>
  );
}
