import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  sortableKeyboardCoordinates,
  SortableContext,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { GripVertical } from 'lucide-react';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import { orderList as say } from '../words.ts';

interface OrderItem {
  readonly id: string;
  readonly name: string;
}

interface OrderListProps<Item extends OrderItem> {
  items: readonly Item[];
  /** Of the list, and of each row. */
  className?: string;
  rowClassName?: string;
  onMove: (from: number, to: number) => void;
  /** What stands in a row behind its grip. */
  children: (item: Item, index: number) => ReactNode;
  'data-testid'?: string;
}

const INSTRUCTIONS = say.pressSpacePickUp;

/** A list whose rows are dragged by their grip, or moved by keys, into another order. */
export function OrderList<Item extends OrderItem>({
  items,
  className,
  rowClassName,
  onMove,
  children,
  'data-testid': testId,
}: OrderListProps<Item>) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const find = (id: unknown): number => items.findIndex((each) => each.id === id);
  const nameOf = (id: unknown): string => items[find(id)]?.name ?? '';
  const placeOf = (id: unknown): string => say.place(find(id) + 1, items.length);
  const announcements: Announcements = {
    onDragStart: ({ active }) => say.pickedUp(nameOf(active.id), placeOf(active.id)),
    onDragOver: ({ active, over }) =>
      over === null ? undefined : `${nameOf(active.id)}, ${placeOf(over.id)}.`,
    onDragEnd: ({ active, over }) => say.dropped(nameOf(active.id), placeOf((over ?? active).id)),
    onDragCancel: ({ active }) => say.staysWhere(nameOf(active.id)),
  };
  const end = ({ active, over }: DragEndEvent): void => {
    if (over !== null && over.id !== active.id) onMove(find(active.id), find(over.id));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{ announcements, screenReaderInstructions: { draggable: INSTRUCTIONS } }}
      onDragEnd={end}
    >
      <SortableContext items={items.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        <ol className={className} data-testid={testId}>
          {items.map((item, i) => (
            <OrderRow
              key={item.id}
              item={item}
              {...(rowClassName === undefined ? {} : { className: rowClassName })}
            >
              {children(item, i)}
            </OrderRow>
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface OrderRowProps {
  item: OrderItem;
  className?: string;
  children: ReactNode;
}

function OrderRow({ item, className, children }: OrderRowProps) {
  const {
    attributes,
    listeners,
    setNodeRef,
    setActivatorNodeRef,
    transform,
    transition,
    isDragging,
  } = useSortable({ id: item.id });
  const moved = transform === null ? undefined : `translateY(${String(transform.y)}px)`;
  return (
    <li
      ref={setNodeRef}
      className={clsx(className, isDragging && 'relative z-10 bg-sheet')}
      style={{ transform: moved, transition }}
    >
      <button
        {...attributes}
        {...listeners}
        type="button"
        ref={setActivatorNodeRef}
        className="inline-grid min-h-11 min-w-8 cursor-grab touch-none place-items-center rounded-md text-faint"
        aria-label={say.move(item.name)}
      >
        <GripVertical aria-hidden size={18} />
      </button>
      {children}
    </li>
  );
}
