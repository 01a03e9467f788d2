// @vitest-environment jsdom
import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { Route } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { assess } from '@core/answers/assess';
import { buildCheck } from '@core/answers/check';
import {
  beginCheck,
  endCheck,
  nextItem,
  sawEvent,
  withEvent,
  type CheckRecord,
  type UseRecord,
} from '@core/records/log';
import { changed, rappelDouble } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { LogPage } from './LogPage';
import { RecordPage } from './RecordPage';

afterEach(cleanup);

const { findings, verdict } = assess(rappelDouble);
const at = (minute: number) => new Date(Date.UTC(2026, 2, 1, 9, minute)).toISOString();
const running = beginCheck({
  id: 'c1',
  mode: 'alone',
  setup: rappelDouble,
  verdict,
  items: buildCheck(rappelDouble, findings).slice(0, 3),
  startedAt: at(0),
});
const [first, second, third] = running.items;
/** One item failed, was put right and confirmed; the last one was not looked at. */
const unfinished = endCheck(
  [
    sawEvent(first!, 'climber', first!.expected, at(1)),
    sawEvent(second!, 'climber', second!.others[0]!, at(2)),
    { type: 'fixed' as const, who: null, itemId: second!.id, note: 'turned round', at: at(3) },
    sawEvent(second!, 'climber', second!.expected, at(4)),
  ].reduce(withEvent, running),
  'abandoned',
  at(5),
);
const complete = endCheck(
  withEvent(
    { ...unfinished, id: 'c2', outcome: 'running', endedAt: null, startedAt: at(20) },
    sawEvent(third!, 'climber', third!.expected, at(21)),
  ),
  'complete',
  at(22),
);
const use = (id: string, more: Partial<UseRecord>): UseRecord => ({
  id,
  at: at(10),
  setupId: null,
  setupName: '',
  people: [],
  outcome: 'as-planned',
  descents: 1,
  note: '',
  ...more,
});

describe('the log', () => {
  const uses = [
    use('u1', { note: 'first', at: at(10) }),
    use('u2', { note: 'second', at: at(30), descents: 3, outcome: 'odd' }),
  ];
  const show = () =>
    showPage({
      path: 'log',
      at: 'log',
      element: <LogPage />,
      data: { checks: [unfinished, complete, { ...running, id: 'c3', startedAt: at(40) }], uses },
    });
  const entries = () => screen.getAllByRole('listitem').map((li) => li.textContent);

  it('has checks and uses in one list, newest first', () => {
    show();
    expect(entries().map((text) => /second|first|Not finished|Complete|Ended unfinished/.exec(text)![0])).toEqual([
      'Not finished',
      'second',
      'Complete',
      'first',
      'Ended unfinished',
    ]);
  });

  it('says how often something was put right on the way, and what was odd', () => {
    show();
    expect(entries()[2]).toContain('1 put right on the way');
    expect(entries()[1]).toContain('3 times');
    expect(entries()[1]).toContain('Something was odd');
  });

  it('shows one kind alone on demand', () => {
    show();
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'use' } });
    expect(entries()).toHaveLength(2);
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'check' } });
    expect(entries()).toHaveLength(3);
  });

  it('leads to the check that runs, and to the record of one that has ended', () => {
    show();
    const hrefs = screen.getAllByRole('listitem').flatMap((li) =>
      within(li)
        .queryAllByRole('link')
        .map((a) => a.getAttribute('href')),
    );
    expect(hrefs).toEqual(['/mine/check/c3', '/mine/log/c2', '/mine/log/c1']);
  });

  it('says what will stand there while it is empty', () => {
    showPage({ path: 'log', at: 'log', element: <LogPage /> });
    expect(screen.getByText(/Nothing here yet/)).toBeTruthy();
  });
});

describe('the record of a check', () => {
  const show = (id: string, more: { setups?: (typeof rappelDouble)[] } = {}) =>
    showPage({
      path: 'log/:checkId',
      at: `log/${id}`,
      element: <RecordPage />,
      data: { checks: [unfinished, complete, { ...running, id: 'c3' }], ...more },
      more: <Route path=":workspace/check/:checkId" element={<p>The check goes on</p>} />,
    });
  const items = () =>
    screen.getAllByRole('listitem').flatMap((li) => (li.parentElement!.closest('li') ? [li.textContent] : []));

  it('keeps each item with what was seen, what was put right, and what nobody looked at', () => {
    expect(nextItem(unfinished)?.id).toBe(third!.id);
    show('c1');
    expect(items()).toHaveLength(3);
    expect(items()[1]).toContain('Put right: turned round');
    expect(items()[1]).not.toContain('Not closed');
    expect(items()[2]).toContain('Not looked at');
    expect(screen.getByText(/^Whole check\. Ended unfinished, alone/)).toBeTruthy();
  });

  it('of a complete one has nothing open', () => {
    show('c2');
    expect(items().join()).not.toMatch(/Not looked at|Not closed/);
    expect(screen.getByText(/^Whole check\. Complete, alone/)).toBeTruthy();
  });

  it('of a next go says what it goes on from, and what was not looked at this time', () => {
    const since = { check: 'c0', at: at(0), what: 'changed-over' } as const;
    const began = {
      ...running,
      items: running.items.slice(0, 1),
      depth: 'next-go',
      since,
      leftOut: ['Helmet', 'Anchor'],
    };
    const record = endCheck(
      withEvent(began as CheckRecord, sawEvent(first!, 'climber', first!.expected, at(1))),
      'complete',
      at(2),
    );
    showPage({ path: 'log/:checkId', at: `log/${record.id}`, element: <RecordPage />, data: { checks: [record] } });
    expect(screen.getByText(/^Next go \(changed over\)\. Complete, alone/)).toBeTruthy();
    expect(screen.getByText('Not looked at this time: 2')).toBeTruthy();
    expect(screen.getByText('Helmet; Anchor.')).toBeTruthy();
    expect(screen.getByRole('link', { name: /check that ended at/ }).getAttribute('href')).toMatch(/\/log\/c0$/);
  });

  it('says first what was accepted, by whom and why, and what was answered too quickly', () => {
    const icy = changed(rappelDouble, { site: { weather: 'icy' } });
    const item = buildCheck(icy, assess(icy).findings).find((i) => i.title === 'Caution')!;
    const began: CheckRecord = { ...running, setup: icy, items: [item, first!], startedAt: at(0) };
    const events = [
      { type: 'accepted' as const, itemId: item.id, who: 'climber' as const, reason: 'Short and low.', at: at(1) },
      sawEvent(first!, 'climber', first!.expected, new Date(Date.parse(at(1)) + 900).toISOString()),
    ];
    const record = endCheck(events.reduce(withEvent, began), 'complete', at(3));
    expect(record.outcome).toBe('complete');
    showPage({ path: 'log/:checkId', at: `log/${record.id}`, element: <RecordPage />, data: { checks: [record] } });
    expect(screen.getByText(/1 risk was accepted as it is, with a reason/)).toBeTruthy();
    expect(screen.getByText(/1 answer came too quickly/)).toBeTruthy();
    expect(screen.getByText(/Accepted as it is by Ilse Marrowby/)).toBeTruthy();
    expect(screen.getByText('Short and low.', { exact: false })).toBeTruthy();
  });
  it('leads to the set-up as long as there is one', () => {
    show('c1');
    expect(screen.queryByRole('link', { name: 'To the set-up' })).toBeNull();
    cleanup();
    show('c1', { setups: [rappelDouble] });
    expect(screen.getByRole('link', { name: 'To the set-up' }).getAttribute('href')).toBe(
      `/mine/setups/${rappelDouble.id}`,
    );
  });

  it('of a running one is the check itself; of none there is no page', () => {
    show('c3');
    expect(screen.getByText('The check goes on')).toBeTruthy();
    cleanup();
    show('none');
    expect(screen.getByText(/This entry of the log/)).toBeTruthy();
  });
});
