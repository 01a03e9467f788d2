import { useEffect, useRef } from 'react';
import { fallRemarks, nextMove, type Practice, type PracticeSettings } from '@core/teaching/trainer';
import { useWords } from '../../../app/preferences';
import { useWakeLock } from '../../../ui/useWakeLock';
import { Pad } from './Pad';
import { Remarks } from './Remarks';
import { doingWords, TrainerDrawing } from './TrainerDrawing';
import { usePractice } from './usePractice';

interface TrainerProps {
  readonly settings: PracticeSettings;
  readonly sound: boolean;
  readonly onEnd: (practice: Practice) => void;
  /** Once a second: what would be lost if the page went away. */
  readonly onSecond: (practice: Practice) => void;
}

/** A practice as it runs: what the climber does, the device with both hands, and a pad for each thumb. */
export function Trainer({ settings, sound, onEnd, onSecond }: TrainerProps) {
  const inWords = useWords();
  useWakeLock();
  const { practice, input, fall } = usePractice(settings, onEnd);
  const second = Math.floor(practice.tS);
  const told = useRef(0);
  useEffect(() => {
    if (second === told.current) return;
    told.current = second;
    onSecond(practice);
  }, [second, practice, onSecond]);
  const falls = practice.doing === 'falling';
  useTone(sound && falls);
  const last = practice.falls.at(-1);
  const calm = settings.pace === 'calm';
  const guide = settings.hand === 'left' ? 'right' : 'left';
  const lowering = practice.doing === 'lowering';
  const pads = {
    [settings.hand]: { title: 'Brake hand', upper: 'above the line', lower: 'down: it brakes', camStrip: false },
    [guide]: {
      title: 'Guide hand',
      upper: lowering && settings.device === 'cam' ? 'lever open' : 'the climber’s strand',
      lower: 'brake strand, under the brake hand',
      camStrip: settings.device === 'cam' && !lowering,
    },
  } as Record<'left' | 'right', { title: string; upper: string; lower: string; camStrip: boolean }>;
  return (
    <div className="mx-auto flex h-[calc(100dvh-7.5rem)] max-w-3xl flex-col px-3 pt-2 sm:h-[calc(100dvh-4rem)]">
      <div className="flex items-center gap-3">
        <p role="status" className={`min-h-12 flex-1 text-lg leading-tight font-bold ${falls ? 'text-stop' : ''}`}>
          {inWords(calm ? nextMove(practice) : doingWords(practice))}
        </p>
        {calm && (
          <button type="button" className="btn" onClick={fall} disabled={falls || practice.heightM < 1}>
            Fall now
          </button>
        )}
        <button type="button" className="btn" onClick={() => onEnd(practice)}>
          Stop
        </button>
      </div>
      {last && practice.doing === 'hanging' && (
        <div className="sm:hidden">
          <Remarks remarks={fallRemarks(last)} />
        </div>
      )}
      <div className="grid min-h-0 flex-1 gap-3 sm:grid-cols-[1fr_15rem]">
        <div className="min-h-0 [&>svg]:h-full">
          <TrainerDrawing practice={practice} />
        </div>
        <div className="hidden min-h-0 overflow-y-auto sm:block" aria-live="polite">
          {last && practice.doing !== 'falling' && (
            <>
              <p className="font-bold">The last fall</p>
              <Remarks remarks={fallRemarks(last)} />
            </>
          )}
        </div>
      </div>
      <div className="flex h-[38%] min-h-44 gap-3 py-2">
        {(['left', 'right'] as const).map((side) => (
          <Pad key={side} side={side} input={input} {...pads[side]} />
        ))}
      </div>
    </div>
  );
}

/** A tone while the climber falls, where it is wanted. */
function useTone(on: boolean): void {
  const context = useRef<AudioContext | null>(null);
  useEffect(() => {
    if (!on) return;
    const audio = (context.current ??= new AudioContext());
    const tone = audio.createOscillator();
    const quiet = audio.createGain();
    quiet.gain.value = 0.08;
    tone.frequency.value = 520;
    tone.connect(quiet).connect(audio.destination);
    tone.start();
    return () => tone.stop();
  }, [on]);
}
