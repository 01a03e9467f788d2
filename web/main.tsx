import './app/address';
import { startTransition, StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { setNonce } from 'get-nonce';
import { App } from './app/App';
import { warnWhenUnsaved } from './app/open-sessions';
import './styles.css';

// Radix adds style elements of its own; with the nonce of this page they pass the content security policy.
const nonce = document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content;
if (nonce) setNonce(nonce);

warnWhenUnsaved();

const root = createRoot(document.getElementById('root')!);
// In slices, as everything that is not an answer to a finger.
startTransition(() =>
  root.render(
    <StrictMode>
      <App />
    </StrictMode>,
  ),
);
