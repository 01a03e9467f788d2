import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical, X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Line, Step, Trouble } from '@core/answers/procedures';
import { SeverityMark } from '../../../ui/SeverityMark';
import { useWords } from '../../../app/preferences';

interface OrderListProps {
  readonly lines: readonly Line[];
  readonly steps: readonly (Step | null)[];
  readonly troubles: readonly Trouble[];
  /** Looks before each step, by its id, from the exploration. */
  readonly looks: ReadonlyMap<string, readonly string[]>;
  readonly chosen: number | null;
  readonly onChoose: (at: number) => void;
  readonly onChange: (lines: Line[]) => void;
}

/** The order itself: drag a step by its handle, or move it with the arrow keys. */
export function OrderList({ lines, steps, troubles, looks, chosen, onChoose, onChange }: OrderListProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = lines.map((l) => l.id);
  const move = (from: number, to: number) => {
    if (to < 0 || to >= lines.length) return;
    onChange(arrayMove([...lines], from, to));
    onChoose(to);
  };
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id) move(ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="divide-y divide-line border-y border-line" aria-label="Order of steps">
          {lines.map((line, at) => (
            <Row
              key={line.id}
              line={line}
              at={at}
              step={steps[at] ?? null}
              last={at === lines.length - 1}
              troubles={troubles.filter((t) => t.at === at)}
              looks={looks.get(line.id) ?? []}
              chosen={chosen === at}
              onChoose={() => onChoose(at)}
              onMove={(by) => move(at, at + by)}
              onRemove={() => onChange(lines.filter((_, i) => i !== at))}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

interface RowProps {
  readonly line: Line;
  readonly at: number;
  readonly step: Step | null;
  readonly last: boolean;
  readonly troubles: readonly Trouble[];
  readonly looks: readonly string[];
  readonly chosen: boolean;
  readonly onChoose: () => void;
  readonly onMove: (by: 1 | -1) => void;
  readonly onRemove: () => void;
}

function Row({ line, at, step, last, troubles, looks, chosen, onChoose, onMove, onRemove }: RowProps) {
  const inWords = useWords();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: line.id });
  const text =
    line.kind === 'own' ? line.text : inWords(step?.does ?? `A step that this version does not know (${line.id}).`);
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (chosen) row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <li
      ref={(node) => {
        setNodeRef(node);
        row.current = node;
      }}
      data-step={line.id}
      className={`${chosen ? 'bg-sunk' : ''} ${isDragging ? 'relative z-10 bg-surface shadow-lg' : ''}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {looks.length > 0 && (
        <p className="flex gap-2 px-2 pt-2 text-sm text-ink-2">
          <span className="font-bold whitespace-nowrap">Stop and look:</span> <span>{inWords(looks.join('; '))}.</span>
        </p>
      )}
      <div className="flex items-start gap-1">
        <button
          type="button"
          className="btn mt-1 touch-none border-0 bg-transparent px-1.5"
          {...attributes}
          {...listeners}
          aria-label={`Move step ${at + 1}: ${text}`}
        >
          <GripVertical aria-hidden className="size-5" />
        </button>
        <button
          type="button"
          aria-pressed={chosen}
          className="flex min-h-12 flex-1 items-start gap-2.5 py-2.5 text-left"
          onClick={onChoose}
        >
          <span className="num w-6 text-right text-ink-2">{at + 1}</span>
          <span>
            {text}
            {step && step.who !== 'you' && <span className="text-ink-2"> ({step.who})</span>}
          </span>
        </button>
      </div>
      {troubles.map(({ says }) => (
        <p key={says} className="flex items-start gap-2 px-2 pb-2 pl-12 text-stop" data-trouble>
          <SeverityMark severity="stop" size={18} />
          <span>{inWords(says)}</span>
        </p>
      ))}
      {chosen && (
        <div className="flex flex-wrap items-center gap-2 px-2 pb-2 pl-12">
          {step && <p className="w-full text-ink-2">See: {inWords(step.see)}</p>}
          <button type="button" className="btn" disabled={at === 0} onClick={() => onMove(-1)}>
            <ArrowUp aria-hidden className="size-4" />
            Up
          </button>
          <button type="button" className="btn" disabled={last} onClick={() => onMove(1)}>
            <ArrowDown aria-hidden className="size-4" />
            Down
          </button>
          <button type="button" className="btn" onClick={onRemove}>
            <X aria-hidden className="size-4" />
            Take out
          </button>
        </div>
      )}
    </li>
  );
}
