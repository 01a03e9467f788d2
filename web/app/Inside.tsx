import { Outlet, useParams } from 'react-router';
import { WORKSPACES, type WorkspaceName } from '../storage/names';
import { NotFound } from './NotFound';
import { WorkspaceProvider } from './WorkspaceProvider';

export { Shell } from './Shell';

const isWorkspace = (name: string | undefined): name is WorkspaceName => WORKSPACES.some((w) => w === name);

export function InWorkspace() {
  const { workspace } = useParams();
  // Outside of the shell it is the whole page.
  if (!isWorkspace(workspace))
    return (
      <main>
        <NotFound />
      </main>
    );
  return (
    <WorkspaceProvider key={workspace} name={workspace}>
      <Outlet />
    </WorkspaceProvider>
  );
}
