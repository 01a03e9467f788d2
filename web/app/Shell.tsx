import {
  BookOpenText,
  FolderDown,
  Backpack,
  Grid3x3,
  ListOrdered,
  Moon,
  Redo2,
  Route as RouteIcon,
  Ruler,
  Settings,
  Sun,
  Undo2,
  Warehouse,
  type LucideIcon,
} from 'lucide-react';
import { useLayoutEffect } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { nameOf } from '../storage/name-of';
import { useAppDispatch, useAppSelector, useUnreadable } from '../store/hooks';
import { redone, undone } from '../store/workspace-slice';
import { lazyPart } from '../ui/part';
import { hearSearchKey } from './search-key';
import { usePreferences } from './preferences';
import { SaveIndicator } from './SaveIndicator';
import { usePlace } from './place';

// Not needed for the first screen.
const Finder = lazyPart('The search', () => import('../features/around/find/Finder').then((m) => m.Finder), {
  aside: true,
  waiting: () => <span className="size-11" />,
});
const Trail = lazyPart('The way back', () => import('./Trail').then((m) => m.Trail));
const Shortcuts = lazyPart('What the keys do', () => import('./Shortcuts').then((m) => m.Shortcuts), { aside: true });

const PLACES = [
  { to: 'setups', label: 'Set-ups', Icon: RouteIcon },
  { to: 'plan', label: 'Plan', Icon: Backpack },
  { to: 'steps', label: 'Steps', Icon: ListOrdered },
  { to: 'locker', label: 'Locker', Icon: Warehouse },
  { to: 'fit', label: 'Fit', Icon: Grid3x3, deskOnly: true },
  { to: 'log', label: 'Log', Icon: BookOpenText },
  { to: 'files', label: 'Files', Icon: FolderDown, deskOnly: true },
] as const satisfies readonly { to: string; label: string; Icon: LucideIcon; deskOnly?: true }[];

interface PlacesProps {
  readonly className: string;
  readonly linkClass: string;
  /** Leaves out what is for the desk: the bar under the thumb has five places. */
  readonly phone?: boolean;
}

function Places({ className, linkClass, phone = false }: PlacesProps) {
  const { name } = usePlace();
  return (
    <nav aria-label="Places" className={className}>
      {PLACES.filter((place) => !(phone && 'deskOnly' in place)).map(({ to, label, Icon }) => (
        <NavLink
          key={to}
          to={`/${name}/${to}`}
          className={({ isActive }) =>
            `${linkClass} ${isActive ? 'bg-sunk font-bold text-ink shadow-[inset_0_-3px_0_var(--act)]' : 'text-ink-2'}`
          }
        >
          <Icon aria-hidden className="size-5" />
          {label}
        </NavLink>
      ))}
    </nav>
  );
}

function History() {
  const dispatch = useAppDispatch();
  const past = useAppSelector((s) => s.workspace.past.at(-1));
  const future = useAppSelector((s) => s.workspace.future[0]);
  return (
    <div className="flex">
      <button
        type="button"
        className="btn border-0 bg-transparent px-2"
        disabled={!past}
        onClick={() => dispatch(undone())}
        title={past ? `Undo: ${past.label} (Ctrl+Z)` : 'Nothing to undo'}
        aria-label={past ? `Undo: ${past.label}` : 'Undo'}
      >
        <Undo2 aria-hidden className="size-5" />
      </button>
      <button
        type="button"
        className="btn border-0 bg-transparent px-2"
        disabled={!future}
        onClick={() => dispatch(redone())}
        title={future ? `Redo: ${future.label} (Ctrl+Shift+Z)` : 'Nothing to redo'}
        aria-label={future ? `Redo: ${future.label}` : 'Redo'}
      >
        <Redo2 aria-hidden className="size-5" />
      </button>
    </div>
  );
}

const MOST_NAMED = 3;

/** What is stored and cannot be shown, by its names as far as it has any. */
function NotShown({ entries }: { entries: readonly unknown[] }) {
  const { name } = usePlace();
  const names = entries.map((entry) => nameOf(entry).slice(0, 80)).filter((n) => n !== '');
  const named = names.slice(0, MOST_NAMED).map((n) => `“${n}”`);
  if (named.length > 0 && entries.length > named.length) named.push(`${entries.length - named.length} more`);
  const one = entries.length === 1;
  return (
    <p role="alert" className="bg-mind-wash px-5 py-2 break-words text-mind">
      {entries.length} stored {one ? 'entry' : 'entries'} cannot be read
      {named.length > 0 && ` (${named.join(', ')})`}: {one ? 'it is' : 'they are'} not shown. Nothing was deleted.{' '}
      <Link to={`/${name}/files`}>Save {one ? 'it' : 'them'} to a file</Link>
    </p>
  );
}

/** Head with the places, units, theme, undo and the save indicator; on a phone the places lie under the thumb. */
export function Shell() {
  const { pathname, search } = useLocation();
  const { name } = usePlace();
  const unreadable = useUnreadable();
  const { system, setSystem, theme, setTheme } = usePreferences();
  // With the first frame: whoever knows the key presses it at once.
  useLayoutEffect(hearSearchKey, []);
  const other = system === 'metric' ? 'imperial' : 'metric';
  return (
    <div className="flex min-h-dvh flex-col pb-16 md:pb-0">
      <Shortcuts />
      <a
        href="#content"
        className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:m-2 focus:bg-surface focus:p-2"
      >
        To the content
      </a>
      <header className="no-print sticky top-0 z-20 flex flex-wrap items-center gap-x-2 border-b border-line bg-surface px-3 sm:px-5">
        <Link to="/" className="flex items-baseline gap-2 py-2 font-bold text-act" aria-label="Zevrin, to the start">
          <span className="text-xl tracking-tight">Zevrin</span>
        </Link>
        <span className="rounded border border-line-2 px-1.5 text-sm text-ink-2">
          {name === 'demo' ? 'Demo' : 'My gear'}
        </span>
        <Places className="ml-3 hidden md:flex" linkClass="flex items-center gap-2 px-3.5 py-3 whitespace-nowrap" />
        <div className="ml-auto flex items-center gap-1">
          <SaveIndicator />
          <Finder />
          <History />
          <button
            type="button"
            className="btn hidden border-0 bg-transparent px-2 md:flex"
            onClick={() => setSystem(other)}
            aria-label={`Units: ${system === 'metric' ? 'metric' : 'feet and pounds'}. Change`}
            title="Change units"
          >
            <Ruler aria-hidden className="size-5" />
            <span className="num text-sm">{system === 'metric' ? 'm' : 'ft'}</span>
          </button>
          <button
            type="button"
            className="btn hidden border-0 bg-transparent px-2 md:flex"
            onClick={() => setTheme(theme === 'dark' ? 'light' : 'dark')}
            aria-label={theme === 'dark' ? 'Light colours' : 'Dark colours'}
            title={theme === 'dark' ? 'Light colours' : 'Dark colours'}
          >
            {theme === 'dark' ? <Sun aria-hidden className="size-5" /> : <Moon aria-hidden className="size-5" />}
          </button>
          <Link
            className="btn border-0 bg-transparent px-2"
            to={`/${name}/settings`}
            aria-label="Settings"
            title="Settings"
          >
            <Settings aria-hidden className="size-5" />
          </Link>
        </div>
      </header>
      {unreadable.length > 0 && <NotShown entries={unreadable} />}
      <Trail />
      <main id="content" data-at={pathname + search} className="flex-1">
        <Outlet />
      </main>
      <Places
        phone
        className="no-print fixed inset-x-0 bottom-0 z-20 grid grid-cols-5 border-t border-line bg-surface pb-[env(safe-area-inset-bottom)] md:hidden"
        linkClass="flex min-h-14 flex-col items-center justify-center text-[min(0.875rem,3.4vw)] whitespace-nowrap"
      />
    </div>
  );
}
