// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { assess } from '@core/answers/assess';
import { METRIC, renderFinding, type Finding } from '@core/foundations/finding';
import { rappelDouble, rappelDoubleFaulty } from '@core/samples';
import { showPage } from '../../../app/place.test-help';
import { FindingList } from './FindingList';

beforeEach(() => {
  Element.prototype.scrollIntoView = () => undefined;
  localStorage.clear();
});
afterEach(cleanup);

function List({ findings }: { findings: readonly Finding[] }) {
  const [chosen, setChosen] = useState<number | null>(null);
  return <FindingList findings={findings} chosen={chosen} onChoose={setChosen} />;
}
const show = (findings: readonly Finding[]) => showPage({ path: '', at: '', element: <List findings={findings} /> });
const rows = () => [...document.querySelectorAll<HTMLElement>('[data-finding]')];

describe('the list of findings', () => {
  it.each([
    ['a set-up without a fault', rappelDouble],
    ['one with many', rappelDoubleFaulty],
  ])('has every finding once, in the order of the engine, open ones first: %s', (_, setup) => {
    const { findings } = assess(setup);
    show(findings);
    const open = findings.filter((f) => f.severity !== 'clear');
    expect(rows().map((r) => r.dataset.finding)).toEqual([
      ...open.map((f) => f.code),
      ...findings.filter((f) => f.severity === 'clear').map((f) => f.code),
    ]);
    for (const [i, f] of open.entries()) expect(rows()[i]!.textContent).toContain(renderFinding(f, METRIC).says);
  });

  it('folds what nothing was found against, unless that is all there is', () => {
    show(assess(rappelDoubleFaulty).findings);
    expect(document.querySelector('details')!.open).toBe(false);
    cleanup();
    show(assess(rappelDouble).findings);
    expect(document.querySelector('details')!.open).toBe(true);
  });

  it('opens one at a time, with what to do, why, and every number with its interval', () => {
    const { findings } = assess(rappelDouble);
    const at = findings.findIndex((f) => f.numbers.length > 1);
    show(findings);
    const button = () => rows()[at]!.querySelector('button')!;
    expect(button().getAttribute('aria-expanded')).toBe('false');
    fireEvent.click(button());
    expect(button().getAttribute('aria-expanded')).toBe('true');
    const { because, numbers } = renderFinding(findings[at]!, METRIC);
    expect(rows()[at]!.textContent).toContain(because);
    for (const { label, text } of numbers) {
      const cell = screen.getAllByRole('rowheader', { name: label })[0]!;
      expect(cell.parentElement!.textContent).toContain(text);
    }
    fireEvent.click(rows()[at === 0 ? 1 : 0]!.querySelector('button')!);
    expect(button().getAttribute('aria-expanded')).toBe('false');
  });

  it('speaks in the units of the reader', () => {
    localStorage.setItem('zevrin-preferences', JSON.stringify({ system: 'imperial', theme: 'light' }));
    const { findings } = assess(rappelDouble);
    const differs = findings.find(
      (f) => renderFinding(f, METRIC).says !== renderFinding(f, { system: 'imperial', words: 'rappel' }).says,
    )!;
    show(findings);
    const row = rows().find((r) => r.dataset.finding === differs.code)!;
    expect(row.textContent).toContain(renderFinding(differs, { system: 'imperial', words: 'rappel' }).says);
    expect(row.textContent).not.toContain(renderFinding(differs, METRIC).says);
  });
});
