// Keys that are a letter alone: they act where the sheet, its page or a row of its lists has the focus, and can be
// switched off for whoever speaks to the screen or whose hands strike keys unmeant (WCAG 2.2, 2.1.4). Kept here, in this
// browser.
const KEPT = 'lumbeck-letters';

export const lettersAct = (): boolean => localStorage.getItem(KEPT) !== 'off';

/** Whether a key is one letter by itself that is not to act now; the list of keys can always be asked for. */
export function isMute(e: KeyboardEvent): boolean {
  if (e.key.length !== 1 || e.key === '?' || e.key === ' ' || e.ctrlKey || e.metaKey || e.altKey) return false;
  const at = e.target instanceof Element ? e.target : document.body;
  const here = at === document.body || at.closest('#desk,#opening-desk,#leaves,#docket,[data-row],[data-arrange]') !== null;
  return !here || !lettersAct();
}

document.addEventListener('change', e => {
  if (e.target instanceof HTMLInputElement && e.target.id === 'letters-act')
    localStorage.setItem(KEPT, e.target.checked ? 'on' : 'off');
});

/** The switch shows what is kept. */
export function showSwitch(): void {
  const box = document.getElementById('letters-act');
  if (box instanceof HTMLInputElement) box.checked = lettersAct();
}
