const TYPED = new Set(['text', 'search', 'url', 'tel', 'email', 'password', 'number', '']);

/** Whether keys pressed there belong to what is being typed, such as its own undo. */
export function isTextEntry(target: EventTarget | null): boolean {
  if (target instanceof HTMLInputElement) return TYPED.has(target.type);
  return target instanceof HTMLTextAreaElement || (target instanceof HTMLElement && target.isContentEditable);
}
