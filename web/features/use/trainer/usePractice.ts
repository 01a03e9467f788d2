import { useCallback, useEffect, useRef, useState } from 'react';
import { letFall, startPractice, practiceStep, type Practice, type PracticeSettings } from '@core/teaching/trainer';
import { HandInput } from './hand-input';

/** A page that was asleep does not make up for it. */
const LONGEST_FRAME_S = 0.1;

/** Runs a practice on the clock of the page, with the keys and the pads as hands. */
export function usePractice(settings: PracticeSettings, onEnd: (p: Practice) => void) {
  const [input] = useState(() => new HandInput());
  const [practice, setPractice] = useState<Practice>(() => startPractice(settings));
  const current = useRef(practice);
  const end = useRef(onEnd);
  useEffect(() => {
    end.current = onEnd;
  });
  useEffect(() => {
    let last: number | null = null;
    let frame = 0;
    let ended = false;
    const tick = (now: number) => {
      const forS = last === null ? 0 : Math.min(LONGEST_FRAME_S, (now - last) / 1000);
      last = now;
      if (forS > 0) {
        const hands = input.move(forS, settings.hand);
        current.current = practiceStep(current.current, hands, forS);
        setPractice(current.current);
        if (current.current.doing === 'down' && !ended) {
          ended = true;
          end.current(current.current);
        }
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [settings, input]);
  useEffect(() => {
    const hands = input;
    const listen = (down: boolean) => (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      // A button that has the focus keeps its own keys.
      if (event.code === 'Space' && event.target instanceof HTMLButtonElement) return;
      if (hands.key(event.code, down)) event.preventDefault();
    };
    const [down, up, away] = [listen(true), listen(false), () => hands.release()];
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    window.addEventListener('blur', away);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
      window.removeEventListener('blur', away);
    };
  }, [input]);
  const fall = useCallback(() => {
    current.current = letFall(current.current);
    setPractice(current.current);
  }, []);
  return { practice, input, fall };
}
