import type { Page } from 'puppeteer-core';

/**
 * Somebody who sees Taller for the first time and works through its accessible names alone. An action is a press, a
 * choice, or a field that is filled; going on by Tab or with the eye is none.
 */
export class Stranger {
  actions = 0;

  constructor(
    private readonly page: Page,
    private readonly by: 'mouse' | 'keyboard',
  ) {}

  /** By the name that is read out; a figure may follow it. */
  private async named(name: string, role: string) {
    // A question of the form is no role of its own in every reader: it is its line.
    const all = role === 'question' ? 'details[data-question] > summary' : `::-p-aria([role="${role}"])`;
    await this.page.waitForSelector(all);
    for (let i = 0; i < 100; i += 1) {
      const exact = await this.page.$(`::-p-aria([name="${name}"][role="${role}"])`);
      if (exact) return exact;
      for (const one of await this.page.$$(all)) {
        const words = await one.evaluate((e) => (e as HTMLElement).innerText ?? e.textContent ?? '');
        if (words.replace(/^(\d+|▸)\s*/, '').startsWith(name)) return one;
      }
      await new Promise((soon) => setTimeout(soon, 100));
    }
    throw new Error(`no ${role} “${name}”`);
  }

  private async come(name: string, role: string) {
    const found = await this.named(name, role);
    if (this.by === 'mouse') return found;
    // Whoever works by keyboard comes to it by Tab; within a group of choices the arrows go on.
    for (let i = 0; i < 120; i += 1) {
      if (await found.evaluate((e) => e === document.activeElement)) return found;
      const near = await found.evaluate((e) => {
        const at = document.activeElement;
        const group = e.closest('[role="radiogroup"], fieldset');
        return group?.contains(at) && at !== e && (at as HTMLElement).matches('input[type="radio"], [role="radio"]');
      });
      await this.page.keyboard.press(near ? 'ArrowRight' : 'Tab');
    }
    throw new Error(`Tab never comes to ${role} “${name}”`);
  }

  async press(name: string, role = 'button') {
    this.actions += 1;
    const found = await this.come(name, role);
    if (this.by === 'mouse') await found.click();
    else if (role === 'radio') {
      // The arrows have chosen it already.
      if (!(await found.evaluate((e) => (e as HTMLInputElement).checked || e.getAttribute('aria-checked') === 'true')))
        await this.page.keyboard.press('Space');
    } else await this.page.keyboard.press('Enter');
  }

  async write(name: string, text: string) {
    this.actions += 1;
    const found = await this.come(name, 'textbox');
    if (this.by === 'mouse') await found.click({ count: 3 });
    else {
      await this.page.keyboard.down('Control');
      await this.page.keyboard.press('a');
      await this.page.keyboard.up('Control');
    }
    await this.page.keyboard.sendCharacter(text);
  }

  async choose(label: string, option: string) {
    this.actions += 1;
    const list = await this.come(label, 'combobox');
    const value = await list.evaluate(
      (e, wanted) => [...(e as HTMLSelectElement).options].find((own) => own.label.startsWith(wanted))?.value,
      option,
    );
    if (!value) throw new Error(`no “${option}” in ${label}`);
    if (this.by === 'mouse') await list.select(value);
    else await this.page.keyboard.type(option);
  }

  /** Waits until what was decided shows. */
  async settled() {
    await this.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await this.page.waitForSelector('html:not([data-settling]) [data-saving="saved"]');
  }
}
