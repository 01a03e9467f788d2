import type { ComponentType } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import {
  BrowserRouter,
  createRoutesFromElements,
  matchRoutes,
  Navigate,
  Route,
  useLocation,
  useParams,
  useRoutes,
} from 'react-router';
import { PreferencesProvider } from './preferences';
import { NotFound } from './NotFound';
import { withinBase } from './base';
import { Failed } from '../ui/Failed';
import { lazyPart } from '../ui/part';
import { Toasts } from '../ui/Toasts';

const usePathname = () => useLocation().pathname;
/** A page by itself: when it falls, the places around it stay. */
const page = (what: string, load: () => Promise<ComponentType>) =>
  lazyPart(what, load, { waiting: () => <p className="p-6 text-ink-2">Loading …</p>, useAbout: usePathname });

/** Everything of a workspace: the first page does without it. */
const inside = () => import('./Inside');
// The data of a demo that was never opened here is fetched beside the program.
if (/^\/demo(\/|$)/.test(withinBase(location.pathname)))
  void (globalThis.indexedDB as IDBFactory | undefined)
    ?.databases?.()
    .then((known) => (known.some((d) => d.name === 'zevrin-demo') ? null : import('./demo-data')))
    .catch(() => undefined);
const InWorkspace = page('The workspace', () => inside().then((m) => m.InWorkspace));
const Shell = page('The frame of the page', () => inside().then((m) => m.Shell));

const NewVersion = lazyPart('News of a version', () => import('./NewVersion').then((m) => m.NewVersion), {
  aside: true,
});
const StartPage = page('The first page', () => import('./StartPage').then((m) => m.StartPage));
const QuickPage = page('The six questions', () =>
  import('../features/take/first-answer/QuickPage').then((m) => m.QuickPage),
);
const SetupsPage = page('The list of set-ups', () =>
  import('../features/rig/setups/SetupsPage').then((m) => m.SetupsPage),
);
const SetupPage = page('This set-up', () => import('../features/rig/setups/SetupPage').then((m) => m.SetupPage));
const CardPage = page('The card', () => import('../features/rig/setups/CardPage').then((m) => m.CardPage));
const ChoosePage = page('The choice from the locker', () =>
  import('../features/rig/setups/ChoosePage').then((m) => m.ChoosePage),
);
const LockerPage = page('The locker', () => import('../features/take/locker/LockerPage').then((m) => m.LockerPage));
const TunePage = page('The tuning', () => import('../features/take/tuning/TunePage').then((m) => m.TunePage));
const ItemPage = page('This form', () => import('../features/take/locker/ItemPage').then((m) => m.ItemPage));
const CheckPage = page('The check', () => import('../features/check/before-use/CheckPage').then((m) => m.CheckPage));
const FitPage = page('The map of what fits', () => import('../features/take/fit/FitPage').then((m) => m.FitPage));
const ConnectorsPage = page('The page about connectors', () =>
  import('../features/take/connectors/ConnectorsPage').then((m) => m.ConnectorsPage),
);
const PlanPage = page('The plan', () => import('../features/take/plan/PlanPage').then((m) => m.PlanPage));
const HoldPage = page('The page about what still holds', () =>
  import('../features/rig/redundancy/HoldPage').then((m) => m.HoldPage),
);
const CatchPage = page('The page about falls', () =>
  import('../features/rig/catch/CatchPage').then((m) => m.CatchPage),
);
const StepsPage = page('The list of orders', () => import('../features/use/steps/StepsPage').then((m) => m.StepsPage));
const SequencePage = page('This order of steps', () =>
  import('../features/use/steps/SequencePage').then((m) => m.SequencePage),
);
const RunPage = page('The steps', () => import('../features/use/steps/RunPage').then((m) => m.RunPage));
const HandsPage = page('The practice of the hands', () =>
  import('../features/use/trainer/HandsPage').then((m) => m.HandsPage),
);
const LogPage = page('The log', () => import('../features/log/records/LogPage').then((m) => m.LogPage));
const RecordPage = page('This record', () => import('../features/log/records/RecordPage').then((m) => m.RecordPage));
const UsePage = page('This form', () => import('../features/log/records/UsePage').then((m) => m.UsePage));
const FilesPage = page('The page about files', () =>
  import('../features/log/files/FilesPage').then((m) => m.FilesPage),
);
const SharePage = page('The page to share', () => import('../features/log/share/SharePage').then((m) => m.SharePage));
const OpenPage = page('The set-up from the link', () =>
  import('../features/log/share/OpenPage').then((m) => m.OpenPage),
);
const SettingsPage = page('The settings', () =>
  import('../features/around/settings/SettingsPage').then((m) => m.SettingsPage),
);
const SourcesPage = page('The list of sources', () =>
  import('../features/around/sources/SourcesPage').then((m) => m.SourcesPage),
);
const WordsPage = page('The words', () => import('../features/around/words/WordsPage').then((m) => m.WordsPage));

/** What was chosen in a plan is a set-up now; old links go there. */
function ToSetup() {
  const { workspace, setupId } = useParams();
  return <Navigate to={`/${workspace}/setups/${setupId}`} replace />;
}

const ROUTES = createRoutesFromElements(
  <>
    <Route index element={<StartPage />} />
    <Route path=":workspace" element={<InWorkspace />}>
      <Route path="check/:checkId" element={<CheckPage />} />
      <Route path="steps/:sequenceId/run" element={<RunPage />} />
      <Route element={<Shell />}>
        <Route index element={<Navigate to="setups" replace />} />
        <Route path="quick" element={<QuickPage />} />
        <Route path="setups" element={<SetupsPage />} />
        <Route path="setups/:setupId" element={<SetupPage />} />
        <Route path="setups/:setupId/card" element={<CardPage />} />
        <Route path="setups/:setupId/share" element={<SharePage />} />
        <Route path="open" element={<OpenPage />} />
        <Route path="setups/:setupId/choose" element={<ChoosePage />} />
        <Route path="setups/:setupId/holds" element={<HoldPage />} />
        <Route path="setups/:setupId/catch" element={<CatchPage />} />
        <Route path="steps" element={<StepsPage />} />
        <Route path="steps/:sequenceId" element={<SequencePage />} />
        <Route path="hands" element={<HandsPage />} />
        <Route path="locker" element={<LockerPage />} />
        <Route path="locker/device/:id/tune" element={<TunePage />} />
        <Route path="locker/:kind/:id" element={<ItemPage />} />
        <Route path="plan" element={<PlanPage />} />
        <Route path="plan/:setupId" element={<ToSetup />} />
        <Route path="fit" element={<FitPage />} />
        <Route path="connectors" element={<ConnectorsPage />} />
        <Route path="log" element={<LogPage />} />
        <Route path="log/use/:useId" element={<UsePage />} />
        <Route path="log/:checkId" element={<RecordPage />} />
        <Route path="files" element={<FilesPage />} />
        <Route path="settings" element={<SettingsPage />} />
        <Route path="sources" element={<SourcesPage />} />
        <Route path="words" element={<WordsPage />} />
        <Route path="*" element={<NotFound />} />
      </Route>
    </Route>
  </>,
);
const Pages = () => useRoutes(ROUTES);

/**
 * Every part of the page that is asked for begins to load at once, the innermost too: none waits for what is around it,
 * or for the disk.
 */
function preload(pathname: string) {
  const at = pathname.replace(/^(\/\w+)\/?$/, '$1/setups');
  for (const { route } of matchRoutes(ROUTES, at) ?? []) {
    const { type } = (route.element ?? {}) as { type?: { preload?: () => void } };
    type?.preload?.();
  }
}
preload(withinBase(location.pathname));

export function App() {
  return (
    <ErrorBoundary
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Failed what="Zevrin" error={error} onAgain={resetErrorBoundary} />
      )}
    >
      <PreferencesProvider>
        <Toasts>
          <BrowserRouter basename={import.meta.env.BASE_URL}>
            <NewVersion />
            <Pages />
          </BrowserRouter>
        </Toasts>
      </PreferencesProvider>
    </ErrorBoundary>
  );
}
