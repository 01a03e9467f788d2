import { Volume2 } from 'lucide-react';
import { useEffect, useState } from 'react';

/** A voice that is on the device itself: one that speaks over a network would tell it what is read. */
function useOwnVoice(): SpeechSynthesisVoice | null {
  const [voice, setVoice] = useState<SpeechSynthesisVoice | null>(null);
  useEffect(() => {
    const { speechSynthesis: speech } = window as { speechSynthesis?: SpeechSynthesis };
    if (!speech) return undefined;
    const look = () => setVoice(speech.getVoices().find((v) => v.localService && v.lang.startsWith('en')) ?? null);
    look();
    // Browsers know their voices a while after the page.
    speech.addEventListener('voiceschanged', look);
    return () => {
      speech.removeEventListener('voiceschanged', look);
      speech.cancel();
    };
  }, []);
  return voice;
}

/** Reads a look aloud, with its questions and answers; not there where the device has no voice of its own. */
export function ReadAloud({ texts }: { texts: readonly string[] }) {
  const voice = useOwnVoice();
  if (!voice) return null;
  const speak = () => {
    window.speechSynthesis.cancel();
    for (const text of texts) {
      const said = new SpeechSynthesisUtterance(text);
      said.voice = voice;
      said.lang = voice.lang;
      window.speechSynthesis.speak(said);
    }
  };
  return (
    <button type="button" className="btn min-h-12 border-0 px-2" aria-label="Read aloud" onClick={speak}>
      <Volume2 aria-hidden className="size-6" />
    </button>
  );
}
