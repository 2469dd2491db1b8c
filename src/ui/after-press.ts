/** Longest a press is waited for, ms: its end is not always told, as when a list opens under it. */
const LONGEST = 1000;

let pressed = false;
let patience: ReturnType<typeof setTimeout> | undefined;
let waiting: (() => void)[] = [];

function release() {
  clearTimeout(patience);
  pressed = false;
  const runs = waiting;
  waiting = [];
  for (const run of runs) run();
}

if (typeof window !== 'undefined') {
  const press = () => {
    clearTimeout(patience);
    pressed = true;
    patience = setTimeout(release, LONGEST);
  };
  window.addEventListener('pointerdown', press, true);
  // The click itself comes right after the pointer goes up.
  for (const end of ['pointerup', 'pointercancel']) window.addEventListener(end, () => setTimeout(release), true);
}

/**
 * Runs something that moves the page about: at once, or when the pointer that is down just now has gone up and clicked,
 * so that what is being clicked does not slip away from under it.
 */
export function afterPress(run: () => void): void {
  if (pressed) waiting.push(run);
  else run();
}
