// @vitest-environment jsdom
import { cleanup, fireEvent, render, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { FakeLocks } from './locks.test-help';
import { useOneTab } from './useOneTab';

function Tab({ name = 'check-1' }: { name?: string }) {
  const { holder, takeOver } = useOneTab(name);
  return (
    <>
      <output>{holder}</output>
      <button type="button" onClick={takeOver}>
        over
      </button>
    </>
  );
}
const tab = (name?: string) => {
  const { container, unmount } = render(<Tab {...(name ? { name } : {})} />);
  const at = within(container);
  return {
    is: (holder: string) => waitFor(() => expect(at.getByRole('status').textContent).toBe(holder)),
    takeOver: () => fireEvent.click(at.getByRole('button')),
    close: unmount,
  };
};

beforeEach(() => {
  Object.defineProperty(navigator, 'locks', { value: new FakeLocks(), configurable: true });
});
afterEach(cleanup);

describe('what is open in one tab at a time', () => {
  it('the first has it, the second does not, until the first is closed', async () => {
    const first = tab();
    await first.is('here');
    const second = tab();
    await second.is('elsewhere');
    first.close();
    await second.is('here');
  });

  it('taking it over takes it away, and closing gives it back', async () => {
    const first = tab();
    await first.is('here');
    const second = tab();
    await second.is('elsewhere');
    second.takeOver();
    await second.is('here');
    await first.is('elsewhere');
    second.close();
    await first.is('here');
  });

  it('two names are two things', async () => {
    await tab('check-1').is('here');
    await tab('check-2').is('here');
  });

  it('a third stands in line behind the second', async () => {
    const [a, b, c] = [tab(), tab(), tab()];
    await a.is('here');
    await b.is('elsewhere');
    await c.is('elsewhere');
    a.close();
    await b.is('here');
    await c.is('elsewhere');
    b.close();
    await c.is('here');
  });

  it('without locks it is here: nobody is shut out of their own check', async () => {
    // @ts-expect-error -- a browser that has none
    delete navigator.locks;
    await tab().is('here');
  });
});
