/**
 * Says something by the browser's own speech, with a voice that the phone itself has: the yard may have no signal, and nothing
 * of a farm is sent out. Silent where there is no such voice. What is said before is cut short.
 */
export function sayAloud(words: string): void {
  const speech = globalThis.speechSynthesis as SpeechSynthesis | undefined;
  const voice = speech?.getVoices().find(({ localService, lang }) => localService && lang.startsWith("en"));
  if (!speech || !voice) return;
  speech.cancel();
  const said = new SpeechSynthesisUtterance(words);
  said.voice = voice;
  said.lang = voice.lang;
  speech.speak(said);
}
