/** Browsers killed in the middle of editing, importing and saving: what of it comes back. */
import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as after } from 'node:timers/promises';
import { chromium, type Page } from '@playwright/test';
import { LIGHTEST } from '../../playwright.config';
import { ROOT } from '../node/platform';
import { Chance } from '../testing/chance';
import type { Row } from './report';

const PHOTOS = ['fly-in-plum-kite', 'tide-pools', 'lantern-night', 'workshop-table'].map((name) =>
  join(ROOT, 'public/demo/photos', `${name}.jpg`),
);

const titleOf = (page: Page) => page.getByRole('textbox', { name: 'Project title' });

interface Work {
  address: string;
  edits: { title: string; at: number }[];
  /** Each thing done, with the milliseconds it took. */
  did: string[];
  /** When the table last said that everything is kept, milliseconds since 1970; 0 if it did not. */
  told: number;
  killed: number;
}

/**
 * One profile lives through all of it, as a person's does: what one kill damages the next finds. What the table said is kept
 * must come back, and every project; beyond that at most the last `allowed` milliseconds may be lost (any, if null: how
 * quickly it is written depends on the machine).
 */
export async function killed(
  base: string,
  times: number,
  seed: number,
  allowed: number | null,
): Promise<Row> {
  const profile = await mkdtemp(join(tmpdir(), 'harden-'));
  const faults: string[] = [];
  const fault = (text: string) => {
    faults.push(text);
    console.log(`  ${text}`);
  };
  const chance = new Chance(seed);
  const addresses: string[] = [];
  /** What was last done to the project that was open, and when it was killed. */
  let last: Work | null = null;
  let most = 0;
  let during = 0;

  const open = async () => {
    const context = await chromium.launchPersistentContext(profile, {
      ...LIGHTEST,
      viewport: { width: 1280, height: 800 },
    });
    // No promise about time: a machine may have much else to do.
    context.setDefaultTimeout(120_000);
    return context.pages()[0] ?? context.newPage();
  };
  const kill = () => execFileSync('pkill', ['-9', '-f', `user-data-dir=${profile}`]);
  /** Till nothing of it runs: Chromium throws a profile's data away whose files a dying process still holds locked. */
  const dead = async () => {
    while (spawnSync('pgrep', ['-f', `user-data-dir=${profile}`]).status === 0) await after(10);
  };

  for (let round = 0; round <= times; round++) {
    if (round % 20 === 19)
      console.log(`… ${round} of ${times} kills, at most ${most} ms lost, ${faults.length} faults`);
    await dead();
    const page = await open();
    try {
      if (last) {
        await page.goto(last.address);
        await titleOf(page).waitFor();
        const title = await titleOf(page).inputValue();
        const at = last.edits.findIndex((edit) => edit.title === title);
        const lost = last.edits.slice(at + 1).find((edit) => edit.at < Infinity);
        if (at < 0 && title !== 'Untitled layout' && !/^r\d/.test(title))
          fault(`round ${round}: another title, “${title}”`);
        const ago = lost ? last.killed - lost.at : 0;
        most = Math.max(most, ago);
        if (allowed !== null && ago > allowed)
          fault(`round ${round}: ${ago} ms of work lost (${last.did.join(', ')})`);
        if (lost && lost.at < last.told) fault(`round ${round}: “${lost.title}” was said to be kept`);
        if (lost) during++;
        if (await page.getByText('Not all of this project could be read').isVisible())
          fault(`round ${round}: something had to be set aside`);
      }
      await page.goto(`${base}/`);
      const sheets = page.getByRole('main').getByRole('button', { name: /^Open / });
      if (addresses.length) await sheets.nth(addresses.length - 1).waitFor();
      else await page.getByText('The table is clear').waitFor();
      const count = await sheets.count();
      if (count !== addresses.length) fault(`round ${round}: ${count} projects of ${addresses.length}`);
      if (round === times) break;
      if (addresses.length < 6 || chance.below(8) === 0) {
        await page.getByRole('button', { name: 'New layout 8 x 8 in' }).click();
        await titleOf(page).waitFor();
        addresses.push(page.url());
      } else {
        await page.goto(chance.of(addresses));
        await titleOf(page).waitFor();
      }
      last = { address: page.url(), edits: [], did: [], told: 0, killed: 0 };
      await work(page, last, chance, round, kill);
    } catch (error) {
      const seen = await page
        .locator('body')
        .innerText({ timeout: 2000 })
        .catch(() => 'nothing');
      fault(
        `round ${round}: ${(error as Error).message.split('\n')[0]} (${seen.slice(0, 300).replace(/\s+/g, ' ')})`,
      );
      kill();
    }
  }
  kill();
  await dead();
  // What came of a fault is looked at.
  if (!faults.length) await rm(profile, { recursive: true, force: true });
  return {
    attack: 'browsers killed while one edits, imports and saves',
    tries: times,
    faults,
    seen: `${addresses.length} projects, 0 lost unless named; ${during} kills fell into an edit, at most ${Math.round(most)} ms of work lost${allowed === null ? '' : ` (${allowed} allowed)`}`,
  };
}

/** Works until the power goes. */
async function work(page: Page, last: Work, chance: Chance, round: number, kill: () => void): Promise<void> {
  let gone = false;
  const lives = 200 + chance.below(2500);
  const end = new Promise<void>((done) =>
    setTimeout(() => {
      gone = true;
      last.killed = Date.now();
      kill();
      done();
    }, lives),
  );
  try {
    for (let i = 0; !gone; i++) {
      const die = chance.below(10);
      const begun = Date.now();
      if (die === 0) await page.getByTestId('photo-input').setInputFiles(chance.some(PHOTOS));
      else if (die === 1) await page.getByRole('button', { name: 'Save as a file' }).click({ timeout: 3000 });
      else if (die === 2) {
        await page.getByTestId('stage').focus();
        await page.keyboard.press('Shift+W');
        await page.keyboard.press('Escape');
      } else {
        const title = `r${round} e${i}`;
        // It may be done, and kept, though the browser went before it could say so.
        const edit = { title, at: Infinity };
        last.edits.push(edit);
        await titleOf(page).fill(title, { timeout: 3000 });
        if (!gone) edit.at = Date.now();
      }
      last.did.push(`${['photos', 'file', 'caption'][die] ?? 'title'} ${Date.now() - begun}`);
      await page.waitForTimeout(chance.below(160));
      const told = Number(await page.getByTestId('kept').getAttribute('data-kept', { timeout: 3000 }));
      if (!gone) last.told = Math.max(last.told, told);
    }
  } catch {
    // The browser went in the middle of it: that is what was wanted.
  }
  await end;
}
