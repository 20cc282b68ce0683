import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { describe, expect, test } from 'vitest';
import { demoDesign } from '#/demo';
import { expectWithin } from '#/tests/matchers';
import { choose, fill, Now, show } from '#/tests/render';
import { BalanceStage } from './BalanceStage';

const stage = (name: string) => show(demoDesign(name), <Now of={(design) => <BalanceStage design={design} />} />);

describe('bring it to', () => {
  test('each way says what it does; taken, it does that', async () => {
    const { hand, analysis } = await stage('reef-surveyor');
    expect(analysis().pitch.staticMargin!).toBeLessThan(0);
    await fill(hand, 'Margin', '10');
    const ways = within(screen.getByTestId('ways'));
    const first = (await ways.findAllByRole('listitem')).find((way) => /ballast/.test(way.textContent!))!;
    await waitFor(() => expect(first.textContent).toMatch(/then 10(\.\d)? % margin, \+\d+ g/));
    const before = analysis().mass.total!;
    const grams = Number(/([\d.]+) g of ballast/.exec(first.textContent!)![1]);
    await hand.click(within(first).getByRole('button', { name: /^Take/ }));
    await waitFor(() => expectWithin(analysis().pitch.staticMargin, 0.1, 0.06));
    expect((analysis().mass.total! - before) * 1000).toBeCloseTo(grams, 1);
  });

  test('the middle of the window is between its ends; a place is where it says', async () => {
    const { hand, analysis } = await stage('reef-surveyor');
    await choose(hand, 'Balance at', 'the middle of the window');
    const { forward, aft } = analysis().window;
    const way = async () =>
      (await within(screen.getByTestId('ways')).findAllByRole('button', { name: /^Take: .*ballast/i }))[0]!;
    await hand.click(await way());
    await waitFor(() => expect(analysis().mass.cg![0]).toBeCloseTo((forward! + aft!) / 2, 9));
    await choose(hand, 'Balance at', 'a place');
    const [place] = screen.getAllByRole('textbox', { name: 'Aft of the datum' });
    await hand.clear(place!);
    await hand.type(place!, '245{Enter}');
    await hand.click(await way());
    await waitFor(() => expect(analysis().mass.cg![0]).toBeCloseTo(0.245, 9));
  });

  test('a margin that cannot be is refused with its range', async () => {
    const { hand } = await stage('lagoon-postman');
    await fill(hand, 'Margin', '150');
    expect(screen.getByRole('alert').textContent).toBe('Margin must lie between −50 % and 100 %.');
  });
});

describe('where it balances', () => {
  test('two scales under it read what levers say', async () => {
    const { hand, analysis } = await stage('lagoon-postman');
    await fill(hand, 'Front support at', '200');
    await fill(hand, 'Rear support at', '800');
    const { total, cg } = analysis().mass;
    const rear = (total! * (cg![0] - 0.2) * 1000) / 0.6;
    const shown = (grams: number) => `${grams.toFixed(1)} g`;
    expect(document.body.textContent).toContain(shown(rear));
    expect(document.body.textContent).toContain(shown(total! * 1000 - rear));
  });

  test('a part that is allowed to slide gets a bay about its place', async () => {
    const { hand, design } = await stage('lagoon-postman');
    const receiver = design().massItems.find(({ category }) => category === 'receiver')!;
    await choose(hand, 'Let another part slide', receiver.name);
    const now = design().massItems.find(({ id }) => id === receiver.id)!;
    expect(now.attachment).toEqual({
      kind: 'slides',
      from: receiver.position.x - 40,
      to: receiver.position.x + 40,
    });
    expect(screen.getByRole('textbox', { name: `${receiver.name} at` })).toBeTruthy();
  });
});

describe('what adding would do', () => {
  test('it is told before it is done, and then it is so', async () => {
    const { hand, design, analysis } = await stage('lagoon-postman');
    const before = design();
    await choose(hand, 'Put in', /^Camera, action size/);
    const fields = screen.getAllByRole('textbox', { name: 'Aft of the datum' });
    await hand.clear(fields.at(-1)!);
    await hand.type(fields.at(-1)!, '100{Enter}');
    const button = await screen.findByRole('button', { name: 'Put it in' });
    expect(design()).toBe(before);
    const { total, cg } = analysis().mass;
    const balance = (total! * cg![0] + 0.075 * 0.1) / (total! + 0.075);
    const moved = ((cg![0] - balance) * 1000).toFixed(1).replace(/\.0$/, '');
    await waitFor(() => expect(document.body.textContent).toContain(`${moved} mm forward`));
    await hand.click(button);
    await waitFor(() => expect(analysis().mass.cg![0]).toBeCloseTo(balance, 6));
    expect(design().massItems.at(-1)!.name).toBe('Camera, action size');
  });
});

describe('how heavy it may get', () => {
  test('ballast for more speed grows with its square', async () => {
    const { hand, design, analysis } = await stage('lagoon-postman');
    const faster = design().conditions.cruiseSpeed * 1.1;
    await fill(hand, 'Fly the same lift at', String(faster));
    const grams = Math.round(analysis().mass.total! * 1000 * (1.1 ** 2 - 1));
    expect(document.body.textContent).toContain(`asks for ${grams} g at the balance point`);
    await fill(hand, 'Fly the same lift at', '5');
    expect(document.body.textContent).toContain('needs no ballast');
  });

  test('every ceiling has a reason, and the least is the one that counts', async () => {
    await stage('lagoon-postman');
    const list = within(screen.getByTestId('ceilings')).getAllByRole('listitem');
    expect(list.map((item) => item.textContent!.match(/^[A-Z][a-z]+/)![0])).toEqual(
      expect.arrayContaining(['Stall', 'Launch', 'Climb']),
    );
    for (const item of list) expect(item.textContent!.length).toBeGreaterThan(20);
  });
});

describe('undercarriage', () => {
  test('a pair and a tail wheel: what it tips over, and gone again', async () => {
    const { hand, design } = await stage('lagoon-postman');
    await hand.click(screen.getByRole('button', { name: 'Pair' }));
    await hand.click(screen.getByRole('button', { name: 'One' }));
    expect(design().wheels.map(({ mirrored }) => mirrored)).toEqual([true, false]);
    await waitFor(() => expect(document.body.textContent).toMatch(/Tail wheel: tips over beyond\d+°/));
    // The track is what keeps it upright: wider is safer against turning over.
    const turnover = () => Number(/Turnover angle[^0-9]*63° is usual\)(\d+)°/.exec(document.body.textContent!)![1]);
    const narrow = turnover();
    await fill(hand, '1 off', '180');
    await waitFor(() => expect(turnover()).toBeLessThan(narrow));
    await hand.click(screen.getByRole('button', { name: 'Take wheel 1 out' }));
    expect(design().wheels).toHaveLength(1);
  });
});
