import { DropdownMenu } from 'radix-ui';
import { Hammer, Minus, Plus } from 'lucide-react';
import type { ReactNode } from 'react';
import { removablesOf, systemOf, systemsFor, variationsFor, without, type Setup } from '@core/rigs/rig';

interface AddAndTakeProps {
  readonly setup: Setup;
  readonly onChange: (next: Setup) => void;
}

/** What can be added to the rig as a whole, and what it can do without. Both are undone like any change. */
export function AddAndTake({ setup, onChange }: AddAndTakeProps) {
  const variations = variationsFor(setup);
  const removables = removablesOf(setup);
  const systems = systemsFor(setup);
  const built = systemOf(setup);
  return (
    <div className="mt-3 flex flex-wrap gap-2">
      {systems.length > 0 && (
        <Menu label="Build it as …" icon={<Hammer aria-hidden className="size-4" />}>
          {systems.map((s) => (
            <Entry key={s.id} onChoose={() => onChange(s.build(setup))}>
              <span className="max-w-80 py-1.5">
                <span className="font-semibold">{s.label}</span>
                {s.id === built?.id && <span className="text-ink-2"> (as it is now)</span>}
                <span className="block text-sm text-ink-2">{s.says}</span>
              </span>
            </Entry>
          ))}
        </Menu>
      )}
      {variations.length > 0 && (
        <Menu label="Add …" icon={<Plus aria-hidden className="size-4" />}>
          {variations.map((v) => (
            <Entry key={v.id} onChoose={() => onChange(v.add(setup) ?? setup)}>
              {v.label.replace(/^./, (c) => c.toUpperCase())}
            </Entry>
          ))}
        </Menu>
      )}
      {removables.length > 0 && (
        <Menu label="Take away …" icon={<Minus aria-hidden className="size-4" />}>
          {removables.map((r) => (
            <Entry key={r.id} onChoose={() => onChange(without(setup, r.id))}>
              {r.label}
            </Entry>
          ))}
        </Menu>
      )}
    </div>
  );
}

function Menu({ label, icon, children }: { label: string; icon: ReactNode; children: ReactNode }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className="btn">
        {icon}
        {label}
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          sideOffset={4}
          collisionPadding={8}
          className="z-50 max-h-(--radix-dropdown-menu-content-available-height) min-w-64 overflow-y-auto rounded-lg border border-line-2 bg-surface p-1 text-ink shadow-xl"
        >
          {children}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}

function Entry({ onChoose, children }: { onChoose: () => void; children: ReactNode }) {
  return (
    <DropdownMenu.Item
      onSelect={onChoose}
      className="flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-[highlighted]:bg-sunk"
    >
      {children}
    </DropdownMenu.Item>
  );
}
