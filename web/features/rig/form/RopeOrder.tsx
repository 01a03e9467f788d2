import { closestCenter, DndContext, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical } from 'lucide-react';
import { gripHeights } from '@core/rigs/pairs';
import type { Finding, ElementId } from '@core/foundations/finding';
import { contextOf, gripsByItself } from '@core/rigs/elements';
import { deviceOf, withOrder, type Attachment, type Setup } from '@core/rigs/rig';
import { isSpread, printInterval, printQuantity, type Interval, type UnitSystem } from '@core/foundations/units';
import { usePreferences } from '../../../app/preferences';
import { DeviceGlyph } from '../../../drawing/glyphs';
import { Dimension, Label } from '../../../drawing/parts';
import { glyphOf } from '../../../drawing/rig-view';
import { vec } from '../../../drawing/vector';

interface RopeOrderProps {
  readonly setup: Setup;
  readonly findings: readonly Finding[];
  readonly onChange: (next: Setup) => void;
}

interface Grip {
  readonly attachment: Attachment;
  readonly line: ElementId;
  /** Lower and upper end above the belay loop, mm; guessed while a length is not known. */
  readonly bottomMm: number;
  readonly topMm: number;
  readonly guessed: boolean;
  /** Its tether is longer than the place that the one above leaves. */
  readonly slack: boolean;
  /** What is found about the one above it that slides onto it. */
  readonly cascade: Finding | undefined;
}

/** What grips the ropes by itself, line by line from above. */
export function gripsIn(setup: Setup, findings: readonly Finding[]): Grip[] {
  const ctx = contextOf(setup);
  return setup.lines.flatMap((line) => {
    const order = ctx.index.along(line.id).filter((a) => gripsByItself(a, ctx));
    let roomMm = Number.POSITIVE_INFINITY;
    return order.map((attachment, i): Grip => {
      const at = gripHeights(attachment, ctx);
      const guess = 380 - i * 150;
      const [bottom, top] = [at?.bottomMm.best ?? guess, at?.topMm.best ?? guess + 80];
      // Below one on a shorter tether it hangs in its own slack, close under it.
      const downMm = Math.max(0, top - roomMm);
      roomMm = bottom - downMm - CLOSE_MM;
      return {
        attachment,
        line: line.id,
        bottomMm: bottom - downMm,
        topMm: top - downMm,
        slack: downMm > 0,
        guessed: at === null,
        cascade: findings.find((f) => f.code === 'between.cascade' && f.subject[0] === attachment.end.id),
      };
    });
  });
}

const CLOSE_MM = 15;
const WIDTH = 340;
const HEIGHT = 330;
const ROPES_X = [165, 245, 300];

/**
 * Everything that grips the ropes by itself, to scale above the belay loop, with what is left between; and its order,
 * to be moved about.
 */
export function RopeOrder({ setup, findings, onChange }: RopeOrderProps) {
  const grips = gripsIn(setup, findings);
  const lines = setup.lines.filter((l) => grips.some((g) => g.line === l.id));
  return (
    <section aria-labelledby="rope-order" className="mt-4 rounded-xl border border-line bg-surface p-3">
      <h2 id="rope-order" className="font-bold">
        Along the rope
      </h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <Drawn grips={grips} lines={lines.map((l) => l.id)} />
        <div className="grid content-start gap-3">
          {lines.map((line, i) => (
            <Ordered
              key={line.id}
              title={
                lines.length > 1 ? `${i === 0 ? 'First' : 'Second'} rope, from the anchor down` : 'From the anchor down'
              }
              grips={grips.filter((g) => g.line === line.id)}
              onMove={(id, to) => {
                // Places are those of the whole line; what does not grip by itself stays where it is.
                const own = grips.filter((g) => g.line === line.id).map((g) => g.attachment.id);
                onChange(withOrder(setup, line.id, id, setup.along[line.id]!.indexOf(own[to]!)));
              }}
            />
          ))}
        </div>
      </div>
    </section>
  );
}

function Drawn({ grips, lines }: { grips: readonly Grip[]; lines: readonly ElementId[] }) {
  const { system } = usePreferences();
  const mostMm = Math.max(450, ...grips.map((g) => g.topMm + 60));
  const scale = (HEIGHT - 60) / mostMm;
  const y = (mm: number) => HEIGHT - 36 - mm * scale;
  const xOf = (line: ElementId) => ROPES_X[lines.indexOf(line)] ?? 165;
  const loop = vec(205, HEIGHT - 30);
  const lengthOf = ({ guessed, slack, bottomMm }: Grip) =>
    guessed ? 'length not known' : slack ? 'tether slack' : printQuantity(bottomMm, 'lengthMm', system);
  const summary = grips.map((g) => `${g.attachment.label}: ${lengthOf(g)}`).join('. ');
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className="w-full"
      role="img"
      aria-label={`Above the belay loop. ${summary}.`}
    >
      {lines.map((line) => (
        <path key={line} d={`M${xOf(line)} 0V${HEIGHT}`} stroke="var(--rope-a)" strokeWidth="5" />
      ))}
      {grips.map((grip) => {
        const { attachment, line, bottomMm, topMm, guessed, slack } = grip;
        const x = xOf(line);
        const glyph = glyphOf(deviceOf(attachment)?.item ?? null);
        const middle = (y(bottomMm) + y(topMm)) / 2;
        return (
          <g key={attachment.id} data-grip={attachment.id}>
            <path
              d={
                slack
                  ? `M${loop.x} ${loop.y}C${x + 110} ${loop.y - 30} ${x + 70} ${y(bottomMm)} ${x + 12} ${y(bottomMm)}`
                  : `M${loop.x} ${loop.y}L${x + 12} ${y(bottomMm)}`
              }
              fill="none"
              stroke="var(--textile)"
              strokeWidth="5"
              strokeLinecap="round"
              strokeDasharray={guessed ? '6 5' : undefined}
            />
            {attachment.end.kind === 'hitch' ? (
              [0, 1, 2, 3, 4].map((k) => (
                <path
                  key={k}
                  d={`M${x - 10} ${y(bottomMm + ((k + 0.5) * (topMm - bottomMm)) / 5) - 2}l20 4`}
                  stroke="var(--cord)"
                  strokeWidth="5"
                  strokeLinecap="round"
                />
              ))
            ) : (
              <DeviceGlyph at={vec(x, middle)} scale={Math.min(0.6, scale)} side={1} {...glyph} />
            )}
            <Label at={vec(8, middle)}>{[...inLines(attachment.label), lengthOf(grip)]}</Label>
          </g>
        );
      })}
      {grips.map((lower, i) => {
        const upper = grips[i - 1];
        const gap = lower.cascade?.numbers.find((n) => n.key === 'gap');
        if (!upper || upper.line !== lower.line || !lower.cascade || (!gap && lower.cascade.severity === 'clear'))
          return null;
        return (
          <Dimension
            key={lower.attachment.id}
            from={vec(xOf(lower.line), y(lower.topMm))}
            to={vec(xOf(lower.line), y(Math.max(upper.bottomMm, lower.topMm + 4)))}
            offset={-34}
            label={gap ? inTwo(gap.value, system) : 'not known'}
            anchor="end"
            tone={lower.cascade.severity}
          />
        );
      })}
      <circle cx={loop.x} cy={loop.y} r="9" fill="none" stroke="var(--textile)" strokeWidth="6" />
      <Label at={vec(loop.x + 16, loop.y + 6)}>Belay loop</Label>
    </svg>
  );
}

/** A label in lines of what stands beside the rope. */
const inLines = (label: string): string[] =>
  label.split(' ').reduce<string[]>((lines, word) => {
    const last = lines.at(-1);
    return last !== undefined && last.length + word.length < 15
      ? [...lines.slice(0, -1), `${last} ${word}`]
      : [...lines, word];
  }, []);

/** The best value, and below it how far it may be off. */
const inTwo = (value: Interval, system: UnitSystem): string[] => {
  const best = printQuantity(value.best, 'lengthMm', system);
  return isSpread(value) ? [best, printInterval(value, 'lengthMm', system).slice(best.length).trim()] : [best];
};

interface OrderedProps {
  readonly title: string;
  readonly grips: readonly Grip[];
  readonly onMove: (id: ElementId, to: number) => void;
}

function Ordered({ title, grips, onMove }: OrderedProps) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = grips.map((g) => g.attachment.id);
  return (
    <div>
      <p className="text-sm text-ink-2">{title}</p>
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={({ active, over }) => {
          if (over && active.id !== over.id) onMove(String(active.id), ids.indexOf(String(over.id)));
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <ol className="divide-y divide-line border-y border-line" aria-label={title}>
            {grips.map((grip, at) => (
              <Row key={grip.attachment.id} grip={grip} at={at} last={at === grips.length - 1} onMove={onMove} />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

function Row({
  grip: { attachment, cascade },
  at,
  last,
  onMove,
}: {
  readonly grip: Grip;
  readonly at: number;
  readonly last: boolean;
  readonly onMove: OrderedProps['onMove'];
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: attachment.id });
  const name = attachment.label.toLowerCase();
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Translate.toString(transform), transition }}>
      <div className="flex items-center gap-1">
        <button
          type="button"
          className="btn touch-none border-0 bg-transparent px-1.5"
          {...attributes}
          {...listeners}
          aria-label={`Move the ${name} along the rope`}
        >
          <GripVertical aria-hidden className="size-5" />
        </button>
        <span className="min-w-0 flex-1">
          {attachment.label}
          {cascade && cascade.severity !== 'clear' && (
            <span className="block text-sm text-mind">the one above slides onto it</span>
          )}
        </span>
        <button
          type="button"
          className="btn px-2"
          disabled={at === 0}
          aria-label={`The ${name} higher`}
          onClick={() => onMove(attachment.id, at - 1)}
        >
          <ArrowUp aria-hidden className="size-5" />
        </button>
        <button
          type="button"
          className="btn px-2"
          disabled={last}
          aria-label={`The ${name} lower`}
          onClick={() => onMove(attachment.id, at + 1)}
        >
          <ArrowDown aria-hidden className="size-5" />
        </button>
      </div>
    </li>
  );
}
