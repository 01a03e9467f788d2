// @vitest-environment jsdom
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Route } from 'react-router';
import { assess } from '@core/answers/assess';
import { buildCheck } from '@core/answers/check';
import { METRIC, fillTemplate } from '@core/foundations/finding';
import { beginCheck, sawEvent, turnedFor, withEvent, type CheckRecord } from '@core/records/log';
import { withFields, withItem } from '@core/rigs/rig';
import { changed, club, filled, rappelDouble, SETUPS } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { FakeLocks } from '../../../ui/locks.test-help';
import { SETTLE_MS } from '../../../ui/useSettled';
import { CheckPage } from './CheckPage';

const assessment = assess(rappelDouble);
// Three looks with one question each, of which two are asked.
const items = buildCheck(rappelDouble, assessment.findings).filter(({ id }) =>
  ['middle', 'rope-ends', 'extension'].includes(id),
);
const record = (mode: CheckRecord['mode']): CheckRecord =>
  beginCheck({
    id: 'c1',
    mode,
    setup: rappelDouble,
    verdict: assessment.verdict,
    items,
    startedAt: '2026-01-01T00:00:00.000Z',
  });

beforeEach(() => {
  // jsdom lays nothing out.
  Element.prototype.scrollIntoView = () => undefined;
  vi.useFakeTimers();
  Object.defineProperty(navigator, 'locks', { value: new FakeLocks(), configurable: true });
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  localStorage.clear();
});

/** Long enough to have looked. */
const look = (ms = 2100) => act(() => vi.advanceTimersByTimeAsync(ms));
async function show(mode: CheckRecord['mode'] = 'alone', checks = [record(mode)], id = 'c1') {
  const page = showPage({
    path: 'check/:checkId',
    at: `check/${id}`,
    element: <CheckPage />,
    data: { checks },
    more: <Route path=":workspace/log/:checkId" element={<p>The record</p>} />,
  });
  await look();
  return { ...page, events: () => page.data().checks[0]!.events, outcome: () => page.data().checks[0]!.outcome };
}
const halves = (who: 'climber' | 'partner' = 'climber') =>
  within(document.querySelector<HTMLElement>(`[data-half="${who}"]`)!);
const expected = (n: number) => fillTemplate(items[n]!.expected, items[n]!.numbers, METRIC);
const answer = (n: number, who?: 'climber' | 'partner') =>
  halves(who).getByRole<HTMLButtonElement>('button', { name: expected(n) });
const anyAnswer = () => halves().getAllByRole('button')[0]!;

describe('one tap, one item', () => {
  it('a second tap right after the first does not answer the next item', async () => {
    const { events } = await show();
    fireEvent.click(answer(0));
    fireEvent.click(anyAnswer());
    await look(150);
    fireEvent.click(anyAnswer());
    expect(events().map((e) => e.itemId)).toEqual([items[0]!.id]);
    await look();
    fireEvent.click(answer(1));
    expect(events().map((e) => e.itemId)).toEqual([items[0]!.id, items[1]!.id]);
  });

  it('nor does it close the check unseen', async () => {
    const { outcome } = await show();
    for (const n of [0, 1, 2]) {
      fireEvent.click(answer(n));
      if (n < 2) await look();
    }
    const close = screen.getByRole<HTMLButtonElement>('button', { name: 'Close the check' });
    fireEvent.click(close);
    expect(outcome()).toBe('running');
    await look();
    fireEvent.click(close);
    expect(outcome()).toBe('complete');
    expect(screen.getByText('The record')).toBeTruthy();
  });

  it('face to face, each goes at their own pace, and who is done sees what the other looks at', async () => {
    const { events, outcome } = await show('face-to-face');
    for (const n of [0, 1, 2]) {
      fireEvent.click(answer(n));
      await look();
    }
    expect(halves().getByText(`Tomas Reedling is looking at: ${items[0]!.title}.`, { exact: false })).toBeTruthy();
    expect(outcome()).toBe('running');
    for (const n of [0, 1, 2]) {
      fireEvent.click(answer(n, 'partner'));
      await look();
    }
    expect(events().map((e) => (e.type === 'saw' ? e.who : ''))).toEqual([
      ...Array<string>(3).fill('climber'),
      ...Array<string>(3).fill('partner'),
    ]);
    expect(screen.getByRole('button', { name: 'Close the check' })).toBeTruthy();
  });

  it('where the two saw different things both answers stand side by side', async () => {
    await show('face-to-face');
    fireEvent.click(answer(0));
    await look();
    const wrong = fillTemplate(items[0]!.others[0]!, items[0]!.numbers, METRIC);
    fireEvent.click(halves('partner').getByRole('button', { name: wrong }));
    for (const who of ['climber', 'partner'] as const) {
      const [mine, theirs] = halves(who).getAllByRole('definition');
      expect(mine!.textContent).toContain(expected(0));
      expect(theirs!.textContent).toContain(wrong);
      expect(halves(who).getByText(/“Closed system” begins anew/)).toBeTruthy();
    }
  });

  it('what one look answers stands together, and a second tap at once answers nothing', async () => {
    const all = buildCheck(rappelDouble, assessment.findings);
    const look3 = all.filter(({ id }) => ['harness', 'harness-belt', 'helmet'].includes(id));
    const { events } = await show('alone', [{ ...record('alone'), items: look3 }]);
    const groups = () => [...document.querySelectorAll<HTMLElement>('[data-item]')];
    const first = () => within(groups()[0]!).getByRole('button', { name: look3[events().length]!.expected });
    expect(groups()).toHaveLength(3);
    fireEvent.click(first());
    expect(groups()).toHaveLength(2);
    fireEvent.click(first());
    expect(events()).toHaveLength(1);
    await look();
    fireEvent.click(first());
    expect(events().map((e) => e.itemId)).toEqual(look3.slice(0, 2).map((i) => i.id));
  });

  it('another answer stops; what was put right is written down and the item is looked at again', async () => {
    const { events } = await show();
    const wrong = fillTemplate(items[0]!.others[0]!, items[0]!.numbers, METRIC);
    fireEvent.click(halves().getByRole('button', { name: wrong }));
    expect(halves().getByText('Stop.')).toBeTruthy();
    const put = halves().getByRole<HTMLButtonElement>('button', { name: 'Put right: check it again' });
    expect(put.disabled).toBe(true);
    fireEvent.change(halves().getByLabelText('What was put right?'), { target: { value: 'buckled again' } });
    expect(localStorage.getItem(`zevrin-draft/mine/repair/c1/${items[0]!.id}`)).toContain('buckled again');
    fireEvent.click(put);
    expect(events().at(-1)).toMatchObject({ type: 'fixed', note: 'buckled again' });
    await look();
    fireEvent.click(answer(0));
    expect(events().at(-1)).toMatchObject({ type: 'saw', asExpected: true });
  });
});

describe('it stays honest', () => {
  it('what comes quicker than anybody can look is asked again once, kindly, and then taken', async () => {
    const { events } = await show();
    fireEvent.click(answer(0));
    await look(SETTLE_MS);
    fireEvent.click(answer(1));
    expect(events().map((e) => e.type)).toEqual(['saw', 'saw', 'hurried']);
    expect(halves().getByRole('status').textContent).toContain('Once more, please');
    // A second tap of the same finger does not answer it.
    fireEvent.click(answer(1));
    expect(events()).toHaveLength(3);
    await look(SETTLE_MS);
    fireEvent.click(answer(1));
    expect(events().at(-1)).toMatchObject({ type: 'saw', itemId: items[1]!.id });
    await look(SETTLE_MS);
    expect(halves().getByRole('button', { name: expected(2) })).toBeTruthy();
  });

  // Of an id one knows which item comes back: that is so for this one.
  const turning = () => {
    const id = Array.from({ length: 40 }, (_, i) => `t${i}`).find((id) => {
      const done = items.reduce((r, i) => withEvent(r, sawEvent(i, 'climber', i.expected, r.startedAt)), {
        ...record('alone'),
        id,
      });
      return turnedFor(done, 'climber') !== null;
    })!;
    return { ...record('alone'), id };
  };
  it('now and then an item comes back the other way round; what does not agree is looked at once more', async () => {
    const begun = turning();
    const { events, outcome } = await show('alone', [begun], begun.id);
    for (const n of [0, 1, 2]) {
      fireEvent.click(answer(n));
      await look();
    }
    const back = items.find((i) => i.id === document.querySelector<HTMLElement>('[data-turned]')!.dataset.turned)!;
    const words = (text: string) => fillTemplate(text, back.numbers, METRIC);
    const mark = (text: string) => fireEvent.click(halves().getByRole('button', { name: words(text) }));
    const done = () => halves().getByRole<HTMLButtonElement>('button', { name: /^(I saw none of those|Mark what)/ });
    expect(done().disabled).toBe(true);
    mark(back.expected);
    mark(back.others[0]!);
    fireEvent.click(done());
    expect(events().at(-1)).toMatchObject({ type: 'turned', agrees: false });
    await look();
    expect(halves().getByRole('status').textContent).toContain('do not agree');
    fireEvent.click(halves().getByRole('button', { name: words(back.expected) }));
    await look();
    fireEvent.click(screen.getByRole('button', { name: 'Close the check' }));
    expect(outcome()).toBe('complete');
  });
  it('said rightly, nothing more is asked', async () => {
    const begun = turning();
    const { events } = await show('alone', [begun], begun.id);
    for (const n of [0, 1, 2]) {
      fireEvent.click(answer(n));
      await look();
    }
    const back = items.find((i) => i.id === document.querySelector<HTMLElement>('[data-turned]')!.dataset.turned)!;
    for (const other of back.others)
      fireEvent.click(halves().getByRole('button', { name: fillTemplate(other, back.numbers, METRIC) }));
    fireEvent.click(halves().getByRole('button', { name: 'I saw none of those' }));
    expect(events().at(-1)).toMatchObject({ type: 'turned', agrees: true });
    expect(screen.getByRole('button', { name: 'Close the check' })).toBeTruthy();
  });
});

describe('a fault that was planted by agreement', () => {
  const topRope = filled(SETUPS['belay-top-rope']);
  const planted = (): CheckRecord => {
    const { findings, verdict } = assess(topRope);
    const gate = buildCheck(topRope, findings).filter(({ id }) => id === 'device-connector');
    return beginCheck({
      id: 'c1',
      mode: 'face-to-face',
      setup: topRope,
      verdict,
      items: gate,
      startedAt: '2026-01-01T00:00:00.000Z',
      planted: { by: 'partner', itemId: 'device-connector', at: null },
    });
  };
  const [gate] = planted().items;
  const plant = async () => {
    const page = await show('face-to-face', [planted()]);
    fireEvent.click(screen.getByRole('button', { name: 'Show it' }));
    expect(screen.getByText('Leave the gate of your belay connector unlocked.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /^It is done/ }));
    await look();
    return page;
  };
  it('is asked of the other one alone; found, it is put right, and then both look', async () => {
    const { events } = await plant();
    expect(halves('partner').queryAllByRole('group')).toEqual([]);
    fireEvent.click(halves().getByRole('button', { name: gate!.others[0]! }));
    expect(halves().getByText(/planted it\. It was found/)).toBeTruthy();
    fireEvent.change(halves().getByLabelText('What was put right?'), { target: { value: 'Locked' } });
    fireEvent.click(halves().getByRole('button', { name: 'Put right: check it again' }));
    await look();
    for (const who of ['climber', 'partner'] as const) {
      fireEvent.click(halves(who).getByRole('button', { name: gate!.expected }));
      await look();
    }
    expect(events().map((e) => e.type)).toEqual(['saw', 'fixed', 'saw', 'saw']);
    expect(screen.getByRole('button', { name: 'Close the check' })).toBeTruthy();
  });
  it('not found, it is a Stop that says what is still wrong, and the check does not end with it', async () => {
    const { events } = await plant();
    fireEvent.click(halves().getByRole('button', { name: gate!.expected }));
    expect(events().map((e) => e.type)).toEqual(['saw', 'missed']);
    expect(halves().getByText(/was not found\. It is still there\. The task was: “Leave the gate/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Close the check' })).toBeNull();
  });
});

describe('a check that runs in another tab', () => {
  it('can be read and not answered, until it is taken over', async () => {
    const running = new Promise<void>(() => undefined);
    void navigator.locks.request('zevrin-check-mine-c1', {}, () => running).catch(() => undefined);
    const { events } = await show();
    expect(screen.getByText(/This check runs in another tab/)).toBeTruthy();
    expect(answer(0).disabled).toBe(true);
    fireEvent.click(answer(0));
    expect(events()).toEqual([]);
    fireEvent.click(screen.getByRole('button', { name: 'Go on in this tab' }));
    await look();
    expect(screen.queryByText(/This check runs in another tab/)).toBeNull();
    fireEvent.click(answer(0));
    expect(events()).toHaveLength(1);
  });
});

describe('a risk that is left open', () => {
  const ofOpen = (setup: typeof rappelDouble): CheckRecord => ({
    ...record('alone'),
    setup,
    verdict: assess(setup).verdict,
    items: buildCheck(setup, assess(setup).findings).filter((i) => i.kind === 'open-finding'),
  });
  const icy = ofOpen(changed(rappelDouble, { site: { weather: 'icy' }, hitch: { wraps: 5 } }));
  const known = { ...icy, items: icy.items.filter((i) => i.title === 'Caution').slice(0, 1) };
  const reason = () => halves().getByLabelText<HTMLInputElement>(/Why can it stay so/);
  const accept = () => halves().getByRole<HTMLButtonElement>('button', { name: /^Accepted by/, hidden: true });

  it('is accepted by name, with a reason of some words, which outlives a reload while it is typed', async () => {
    const { events } = await show('alone', [known]);
    expect(accept().disabled).toBe(true);
    fireEvent.change(reason(), { target: { value: 'no' } });
    expect(accept().disabled).toBe(true);
    fireEvent.change(reason(), { target: { value: 'Belayed from above.' } });
    expect(localStorage.getItem(`zevrin-draft/mine/accept/c1/${known.items[0]!.id}/climber`)).toContain('Belayed');
    expect(accept().textContent).toContain('Ilse Marrowby');
    fireEvent.click(accept());
    expect(events()).toMatchObject([{ type: 'accepted', who: 'climber', reason: 'Belayed from above.' }]);
    expect(localStorage.getItem(`zevrin-draft/mine/accept/c1/${known.items[0]!.id}/climber`)).toBeNull();
    await look();
    expect(screen.getByRole('button', { name: 'Close the check' })).toBeTruthy();
  });
  it('stays open when what was typed is taken back, and is open where a reason was begun', async () => {
    await show('alone', [known]);
    const panel = () =>
      halves()
        .getByText(/^Go on with it as it is/)
        .closest('details')!;
    expect(panel().open).toBe(false);
    panel().open = true;
    fireEvent.change(reason(), { target: { value: 'Low' } });
    fireEvent.change(reason(), { target: { value: '' } });
    expect(panel().open).toBe(true);
    fireEvent.change(reason(), { target: { value: 'Low above' } });
    cleanup();
    await show('alone', [known]);
    expect(panel().open).toBe(true);
    expect(reason().value).toBe('Low above');
  });
  it('nobody is asked to accept that a hand is all that holds', async () => {
    const tube = withFields(withItem(SETUPS.lower, 'device', club.groovedTube), 'device', {
      brakeLed: 'redirected',
      brakeSide: 'grooves',
    });
    const alone = ofOpen(tube);
    const items = alone.items.filter((i) => i.id.startsWith('finding:hold.hand-alone'));
    expect(items).toHaveLength(1);
    await show('alone', [{ ...alone, items }]);
    expect(halves().queryByText(/^Go on with it as it is/)).toBeNull();
    expect(halves().getByText('What holds when the hand lets go?')).toBeTruthy();
  });
  it('what is looked at and tried has no such way out', async () => {
    await show();
    expect(halves().queryByText(/^Go on with it as it is/)).toBeNull();
  });
});
