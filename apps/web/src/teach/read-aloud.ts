/** A sentence by the browser's own voice, where it has one. What it was saying it leaves. */
export function readAloud(sentence: string, language: string): void {
  if (!('speechSynthesis' in window)) return
  window.speechSynthesis.cancel()
  const said = new SpeechSynthesisUtterance(sentence)
  said.lang = language
  said.rate = 0.9
  window.speechSynthesis.speak(said)
}
