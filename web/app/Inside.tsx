import { Outlet, useParams } from 'react-router';
import { WORKSPACES, type WorkspaceName } from '../storage/names';
import { withinBase } from './base';
import { NotFound } from './NotFound';
import { enter, leave } from './session';
import { WorkspaceProvider } from './WorkspaceProvider';

export { Shell } from './Shell';

/** Who is asked for by the address has come in by then. */
const SURELY_IN_MS = 5000;

const isWorkspace = (name: string | undefined): name is WorkspaceName => WORKSPACES.some((w) => w === name);

// The disk is asked for what the address says while the page is still put together, and not after its first frame.
const [, asked] = withinBase(location.pathname).split('/');
if (isWorkspace(asked)) {
  enter(asked).then(
    () => setTimeout(() => leave(asked), SURELY_IN_MS),
    // Said by the page, which tries again.
    () => undefined,
  );
}

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
