// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { assess } from '@core/answers/assess';
import type { Finding } from '@core/foundations/finding';
import { rappelDouble, rappelDoubleFaulty } from '@core/samples';
import { PreferencesProvider } from '../app/preferences';
import { marksFor } from './marks';
import { Marker } from './parts';

afterEach(cleanup);

const { findings } = assess(rappelDoubleFaulty);
const parts = (list: readonly Finding[]) => new Set(list.flatMap((f) => f.subject));

describe('marks', () => {
  it('are one per part, with the worst of what is found there', () => {
    const marks = marksFor(findings, parts(findings), null);
    expect(new Set(marks.map((m) => m.part)).size).toBe(marks.length);
    for (const { part, severity } of marks) {
      const there = findings.filter((f) => f.severity !== 'clear' && f.subject[0] === part);
      expect(there.map((f) => f.severity)).toContain(severity);
      if (there.some((f) => f.severity === 'stop')) expect(severity).toBe('stop');
    }
    expect(marks.some((m) => m.severity === 'stop')).toBe(true);
  });

  it('leave out what is clear, unless it is chosen', () => {
    const at = findings.findIndex((f) => f.severity === 'clear');
    const alone = [findings[at]!];
    expect(marksFor(alone, parts(alone), null)).toEqual([]);
    expect(marksFor(alone, parts(alone), 0)).toMatchObject([{ severity: 'clear', chosen: true, index: 0 }]);
  });

  it('stand at the first part of a finding that the drawing shows, and nowhere when it shows none', () => {
    const two = { ...findings[0]!, severity: 'mind' as const, subject: ['device', 'anchor'] };
    expect(marksFor([two], new Set(['anchor']), null)).toMatchObject([{ part: 'anchor' }]);
    expect(marksFor([two], new Set(['hand']), null)).toEqual([]);
  });

  it('say the finding in words with its numbers in the units of the reader', () => {
    const withNumber = {
      ...assess(rappelDouble).findings.find((f) => /\{\w+~?\}/.test(f.says))!,
      severity: 'mind' as const,
    };
    const [mark] = marksFor([withNumber], parts([withNumber]), null);
    vi.stubGlobal('matchMedia', () => ({ matches: false }));
    const choose = vi.fn();
    render(
      <PreferencesProvider>
        <svg>
          <Marker mark={mark!} at={{ x: 0, y: 0 }} sign={{ x: 30, y: 0 }} onChoose={choose} />
        </svg>
      </PreferencesProvider>,
    );
    const button = screen.getByRole('button');
    expect(button.getAttribute('aria-label')).toMatch(/^\w[\w ]*: .*\d/);
    expect(button.getAttribute('aria-label')).not.toMatch(/[{}]/);
    fireEvent.keyDown(button, { key: 'Enter' });
    expect(choose).toHaveBeenCalledWith(0);
  });
});
