import type { KindName } from '@steady-scatter/contract';
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { expect, vi } from 'vitest';
import { say } from '@steady-scatter/words/shell';
import demo from '../../../demo/tarn-hollow.json' with { type: 'json' };
import { call, callDocuments, callEvents } from '../api/lazyCall.ts';
import { App } from '../App.tsx';
import { freshDevice } from './device.ts';
import { fakeServer } from './fakeServer.ts';
import { keepDemo, standing, type Stored } from './inApp.tsx';

type Name = string | RegExp;

/** Text with every kind of space made plain. */
export const plain = (text: string | null): string => (text ?? '').replace(/[\s\u00a0\u202f]+/g, ' ').trim();

/** A line of working as it reads on screen, typed values included. */
export function lineText(name: string): string {
  const root = screen.getByRole('group', { name, hidden: true });
  const copy = root.cloneNode(true) as HTMLElement;
  const typed = [...root.querySelectorAll('input')];
  copy.querySelectorAll('input').forEach((input, index) => input.replaceWith(` ${typed[index]!.value} `));
  const chosen = [...root.querySelectorAll('select')];
  copy
    .querySelectorAll('select')
    .forEach((select, index) => select.replaceWith(` ${chosen[index]!.selectedOptions[0]?.label ?? ''} `));
  copy.querySelectorAll('span, button').forEach((element) => element.append(' '));
  return plain(copy.textContent);
}

/** A part of the screen by its name, with what it says by now. */
export const region = (name: Name) => screen.findByRole('region', { name, hidden: true });
export const saysIn = async (name: Name): Promise<string> => plain((await region(name)).textContent);
/** The answer of the screen: its big number. */
export const bigNumber = async (): Promise<string> =>
  plain(within(await region(say('common.answer'))).getByRole('status', { hidden: true }).textContent);
/** Waits until the screen says something, over however many elements. */
export const says = (text: Name): Promise<void> =>
  waitFor(() => expect(plain(document.body.textContent)).toMatch(text));
/** What is said to be wrong by now. */
export const alerts = (): string =>
  plain(
    screen
      .queryAllByRole('alert', { hidden: true })
      .map(({ textContent }) => textContent)
      .join(' '),
  );
export const valueOf = (label: Name): string => (screen.getByLabelText(label) as HTMLInputElement).value;

/**
 * Opens the whole app at an address, as a person at it with a server that stores. The device is as it was left: `freshDevice()` empties it,
 * `withDemo()` has it hold the made-up town.
 */
export function openApp(address: string) {
  const server = fakeServer();
  vi.mocked(call).mockImplementation(server.call);
  vi.mocked(callDocuments).mockImplementation(server.documents);
  vi.mocked(callEvents).mockImplementation(server.events);
  window.history.replaceState(null, '', address);
  const person = standing(<App />);
  return {
    person,
    server,
    /** Goes on within the app, as a link does. */
    go(to: string): void {
      act(() => {
        window.history.pushState(null, '', to);
        window.dispatchEvent(new PopStateEvent('popstate'));
      });
    },
    /** Puts a text in the place of what is typed in a field. */
    async fill(label: Name, text: string, at = 0): Promise<void> {
      const field = (await screen.findAllByLabelText(label))[at]!;
      act(() => field.focus());
      fireEvent.change(field, { target: { value: text } });
    },
    async choose(label: Name, option: string): Promise<void> {
      await person.selectOptions(await screen.findByLabelText(label), option);
    },
    /** @param name of what is pressed, or how that or what it says begins, looks or ends */
    async press(name: Name): Promise<void> {
      const looksIt = (said: string, { textContent }: Element) =>
        name instanceof RegExp && (name.test(plain(said)) || name.test(plain(textContent)));
      const called = typeof name === 'string' ? name : looksIt;
      await person.click(await screen.findByRole('button', { name: called, hidden: true }));
    },
    /** Opens a stop of the tape: a part of the sheet, or a page of the job. */
    async stop(name: RegExp): Promise<void> {
      const tape = await screen.findByRole('navigation', { name: say('shell.stops'), hidden: true });
      await person.click(within(tape).getByRole('link', { name, hidden: true }));
    },
  };
}

/** The address of a sample job. */
export const sampleJob = (name: string): string =>
  `/jobs/${demo.jobs.find(({ input }) => input.name === name)!.id}`;

/** A device that has caught up with all of the made-up town; other things in place of some of it. */
export async function withDemo(other: Partial<Record<KindName, readonly Stored[]>> = {}): Promise<void> {
  await freshDevice();
  keepDemo(other);
}
