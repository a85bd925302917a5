/** Words are spoken on the device itself: voices that would send them elsewhere are not used. */
import { useEffect, useState, type ReactElement } from 'react';
import { useStudentLanguage } from './student-language.js';

export function ReadAloud({
  text,
  className,
}: {
  readonly text: string;
  readonly className: string;
}): ReactElement | null {
  const { t } = useStudentLanguage();
  const voice = useOwnVoice();
  const [speaking, setSpeaking] = useState(false);
  useEffect(() => () => window.speechSynthesis?.cancel(), [text]);
  if (!voice) return null;
  const speak = (): void => {
    const spoken = new SpeechSynthesisUtterance(text);
    spoken.voice = voice;
    spoken.lang = voice.lang;
    spoken.onend = () => setSpeaking(false);
    spoken.onerror = () => setSpeaking(false);
    setSpeaking(true);
    window.speechSynthesis.speak(spoken);
  };
  const stop = (): void => {
    window.speechSynthesis.cancel();
    setSpeaking(false);
  };
  return (
    <button type="button" onClick={speaking ? stop : speak} className={className}>
      {speaking ? t('stop') : t('readAloud')}
    </button>
  );
}

/** A voice of this device, in its language if there is one; null where there is none. */
function useOwnVoice(): SpeechSynthesisVoice | null {
  const [voice, setVoice] = useState<SpeechSynthesisVoice | null>(null);
  useEffect(() => {
    const speech = 'speechSynthesis' in window ? window.speechSynthesis : null;
    if (!speech) return;
    const choose = (): void => {
      const own = speech.getVoices().filter(({ localService }) => localService);
      const language = navigator.language.slice(0, 2);
      setVoice(own.find(({ lang }) => lang.startsWith(language)) ?? own[0] ?? null);
    };
    choose();
    speech.addEventListener('voiceschanged', choose);
    return () => speech.removeEventListener('voiceschanged', choose);
  }, []);
  return voice;
}
