// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ReadAloud } from './ReadAloud';

/** The speech of a browser: jsdom has none. */
class FakeSpeech extends EventTarget {
  voices: { name: string; lang: string; localService: boolean }[] = [];
  said: string[] = [];
  getVoices = () => this.voices;
  cancel = () => (this.said = []);
  speak = (u: { text: string; voice: { name: string } }) => this.said.push(`${u.voice.name}: ${u.text}`);
}
class FakeUtterance {
  voice: unknown = null;
  lang = '';
  constructor(readonly text: string) {}
}
let speech: FakeSpeech;
beforeEach(() => {
  speech = new FakeSpeech();
  vi.stubGlobal('speechSynthesis', speech);
  vi.stubGlobal('SpeechSynthesisUtterance', FakeUtterance);
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});
const button = () => screen.queryByRole('button', { name: 'Read aloud' });
const local = { name: 'Own', lang: 'en-GB', localService: true };

describe('reading aloud', () => {
  it('is offered only where the device has a voice of its own in the language of the page', () => {
    speech.voices = [
      { name: 'Far', lang: 'en-US', localService: false },
      { name: 'Other', lang: 'de-DE', localService: true },
    ];
    render(<ReadAloud texts={['Gate, pressed:']} />);
    expect(button()).toBeNull();
    // It comes when the browser has found its voices.
    speech.voices = [...speech.voices, local];
    act(() => void speech.dispatchEvent(new Event('voiceschanged')));
    expect(button()).not.toBeNull();
  });
  it('says each text by that voice, and from the beginning when it is pressed again', () => {
    speech.voices = [local];
    render(<ReadAloud texts={['Pear', 'Gate, pressed: stays shut']} />);
    fireEvent.click(button()!);
    fireEvent.click(button()!);
    expect(speech.said).toEqual(['Own: Pear', 'Own: Gate, pressed: stays shut']);
    cleanup();
    expect(speech.said).toEqual([]);
  });
  it('is not there in a browser that cannot speak', () => {
    vi.stubGlobal('speechSynthesis', undefined);
    render(<ReadAloud texts={['x']} />);
    expect(button()).toBeNull();
  });
});
