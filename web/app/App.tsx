import { lazy, Suspense } from 'react';
import { BrowserRouter, Navigate, Outlet, Route, Routes, useParams } from 'react-router';
import { WORKSPACES, type WorkspaceName } from '../storage/database';
import { PreferencesProvider } from './preferences';
import { Shell } from './Shell';
import { WorkspaceProvider } from './WorkspaceProvider';
import { NotFound } from './NotFound';
import { Toasts } from '../ui/Toasts';

const StartPage = lazy(() => import('./StartPage').then((m) => ({ default: m.StartPage })));
const SetupsPage = lazy(() => import('../features/setups/SetupsPage').then((m) => ({ default: m.SetupsPage })));
const SetupPage = lazy(() => import('../features/setups/SetupPage').then((m) => ({ default: m.SetupPage })));
const CardPage = lazy(() => import('../features/setups/CardPage').then((m) => ({ default: m.CardPage })));
const ChoosePage = lazy(() => import('../features/setups/ChoosePage').then((m) => ({ default: m.ChoosePage })));
const LockerPage = lazy(() => import('../features/locker/LockerPage').then((m) => ({ default: m.LockerPage })));
const ItemPage = lazy(() => import('../features/locker/ItemPage').then((m) => ({ default: m.ItemPage })));
const CheckPage = lazy(() => import('../features/check/CheckPage').then((m) => ({ default: m.CheckPage })));
const FitPage = lazy(() => import('../features/fit/FitPage').then((m) => ({ default: m.FitPage })));
const ConnectorsPage = lazy(() =>
  import('../features/connectors/ConnectorsPage').then((m) => ({ default: m.ConnectorsPage })),
);
const PlanPage = lazy(() => import('../features/plan/PlanPage').then((m) => ({ default: m.PlanPage })));
const HoldPage = lazy(() => import('../features/hold/HoldPage').then((m) => ({ default: m.HoldPage })));
const StepsPage = lazy(() => import('../features/steps/StepsPage').then((m) => ({ default: m.StepsPage })));
const SequencePage = lazy(() => import('../features/steps/SequencePage').then((m) => ({ default: m.SequencePage })));
const RunPage = lazy(() => import('../features/steps/RunPage').then((m) => ({ default: m.RunPage })));
const LogPage = lazy(() => import('../features/log/LogPage').then((m) => ({ default: m.LogPage })));
const RecordPage = lazy(() => import('../features/log/RecordPage').then((m) => ({ default: m.RecordPage })));
const UsePage = lazy(() => import('../features/log/UsePage').then((m) => ({ default: m.UsePage })));
const FilesPage = lazy(() => import('../features/files/FilesPage').then((m) => ({ default: m.FilesPage })));
const SourcesPage = lazy(() => import('../features/sources/SourcesPage').then((m) => ({ default: m.SourcesPage })));

const isWorkspace = (name: string | undefined): name is WorkspaceName => WORKSPACES.some((w) => w === name);

function InWorkspace() {
  const { workspace } = useParams();
  if (!isWorkspace(workspace)) return <NotFound />;
  return (
    <WorkspaceProvider key={workspace} name={workspace}>
      <Outlet />
    </WorkspaceProvider>
  );
}

/** What was chosen in a plan is a set-up now; old links go there. */
function ToSetup() {
  const { workspace, setupId } = useParams();
  return <Navigate to={`/${workspace}/setups/${setupId}`} replace />;
}

const waiting = <p className="p-6 text-ink-2">Loading …</p>;

export function App() {
  return (
    <PreferencesProvider>
      <Toasts>
        <BrowserRouter>
          <Suspense fallback={waiting}>
            <Routes>
              <Route index element={<StartPage />} />
              <Route path=":workspace" element={<InWorkspace />}>
                <Route path="check/:checkId" element={<CheckPage />} />
                <Route path="steps/:sequenceId/run" element={<RunPage />} />
                <Route element={<Shell />}>
                  <Route index element={<Navigate to="setups" replace />} />
                  <Route path="setups" element={<SetupsPage />} />
                  <Route path="setups/:setupId" element={<SetupPage />} />
                  <Route path="setups/:setupId/card" element={<CardPage />} />
                  <Route path="setups/:setupId/choose" element={<ChoosePage />} />
                  <Route path="setups/:setupId/holds" element={<HoldPage />} />
                  <Route path="steps" element={<StepsPage />} />
                  <Route path="steps/:sequenceId" element={<SequencePage />} />
                  <Route path="locker" element={<LockerPage />} />
                  <Route path="locker/:kind/:id" element={<ItemPage />} />
                  <Route path="plan" element={<PlanPage />} />
                  <Route path="plan/:setupId" element={<ToSetup />} />
                  <Route path="fit" element={<FitPage />} />
                  <Route path="connectors" element={<ConnectorsPage />} />
                  <Route path="log" element={<LogPage />} />
                  <Route path="log/use/:useId" element={<UsePage />} />
                  <Route path="log/:checkId" element={<RecordPage />} />
                  <Route path="files" element={<FilesPage />} />
                  <Route path="sources" element={<SourcesPage />} />
                  <Route path="*" element={<NotFound />} />
                </Route>
              </Route>
            </Routes>
          </Suspense>
        </BrowserRouter>
      </Toasts>
    </PreferencesProvider>
  );
}
