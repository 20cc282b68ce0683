import { afterEach, beforeEach, expect, test } from 'vitest';
import { keepFocus } from './keepFocus';

let stop: () => void;
/** Longer than the turn in which the focus is mended, on a busy machine too. */
const settle = () => new Promise((done) => setTimeout(done, 60));
const at = () => document.activeElement?.id;
const element = (id: string) => document.getElementById(id)!;

beforeEach(() => {
  document.body.innerHTML =
    '<div id="root"><h1 id="title" tabindex="-1">Page</h1><ul id="list"><li id="one"><button id="a">a</button></li>' +
    '<li id="two"><button id="b">b</button><button id="c">c</button></li></ul></div>';
  stop = keepFocus(document);
});
afterEach(() => stop());

test('what stands beside the thing that went takes the focus', async () => {
  element('b').focus();
  element('b').remove();
  await settle();
  expect(at()).toBe('c');
  element('two').remove();
  await settle();
  expect(at()).toBe('a');
});

test('a button that can no longer be pressed gives it on', async () => {
  element('b').focus();
  (element('b') as HTMLButtonElement).disabled = true;
  await settle();
  expect(at()).toBe('c');
});

test('on a new page the heading takes it', async () => {
  element('a').focus();
  document.body.innerHTML = '<div id="root"><h1 id="next" tabindex="-1">Next</h1><button id="x">x</button></div>';
  await settle();
  expect(at()).toBe('next');
});

test('nobody is moved who stands somewhere, and nothing is done after it was stopped', async () => {
  element('a').focus();
  element('two').remove();
  await settle();
  expect(at()).toBe('a');
  stop();
  element('a').remove();
  await settle();
  expect(document.activeElement).toBe(document.body);
});
