/** Where one types, the browser's own undoing holds; a row, a choice between views or a slider has none. */
export const UNLESS_TYPING = { enableOnFormTags: true, ignoreEventWhen: ({ target }: KeyboardEvent) => isTypedIn(target) }

function isTypedIn(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return !['radio', 'checkbox', 'range', 'button'].includes(target.type)
  return target instanceof HTMLTextAreaElement || (target instanceof HTMLElement && target.isContentEditable)
}
