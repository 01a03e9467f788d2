// @vitest-environment jsdom
import { act, cleanup, renderHook } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, it } from 'vitest';
import { MemoryRouter, useNavigate } from 'react-router';
import { useQuery } from './useQuery';

afterEach(cleanup);

const At = ({ children }: { children: ReactNode }) => (
  <MemoryRouter initialEntries={['/?ledge=0']}>{children}</MemoryRouter>
);
function begin() {
  const { result } = renderHook(() => ({ query: useQuery(), navigate: useNavigate() }), { wrapper: At });
  return {
    /** What a drawing of the page hands to its fields. */
    answering: () => {
      const [, change] = result.current.query;
      return (key: string, value: string) => change((now) => ({ ...Object.fromEntries(now), [key]: value }));
    },
    shown: () => result.current.query[0].toString(),
    go: (to: string) => void result.current.navigate(to),
  };
}

it('answers given before the page has drawn the one before are all kept', () => {
  const { answering, shown } = begin();
  const answer = answering();
  act(() => {
    // All three from the same drawing, as a quick hand on a slow phone gives them.
    answer('where', 'stance');
    answer('clipped', 'none');
    answer('ledge', '-40');
  });
  expect(shown()).toBe('ledge=-40&where=stance&clipped=none');
  act(() => answering()('clipped', 'one'));
  expect(shown()).toBe('ledge=-40&where=stance&clipped=one');
});

it('goes on from where one went meanwhile', () => {
  const { answering, shown, go } = begin();
  act(() => answering()('where', 'stance'));
  act(() => go('/?ledge=3'));
  act(() => answering()('clipped', 'none'));
  expect(shown()).toBe('ledge=3&clipped=none');
});

it('an answer that changes nothing is not held on to', () => {
  const { answering, shown, go } = begin();
  act(() => answering()('ledge', '0'));
  act(() => go('/?ledge=3'));
  act(() => answering()('clipped', 'none'));
  expect(shown()).toBe('ledge=3&clipped=none');
});
