import 'fake-indexeddb/auto';
import { screen, waitFor, within } from '@testing-library/react';
import { toast } from 'sonner';
import { describe, expect, test, vi } from 'vitest';
import { demoDesign } from '#/demo';
import { choose, show } from '#/tests/render';
import { designText } from '@/files/designFile';
import * as download from '../shell/download';
import { DesignsPage } from './DesignsPage';

const page = () => show(demoDesign('lagoon-postman'), <DesignsPage />);
const row = async (name: string) => within((await screen.findByRole('link', { name })).closest('li')!);

describe('designs of this browser', () => {
  test('renamed, copied, removed and put back: nothing is lost', async () => {
    const { hand, designs } = await page();
    await hand.click((await row('Lagoon Postman')).getByRole('button', { name: 'Rename Lagoon Postman' }));
    const field = screen.getByRole('textbox', { name: 'New name of Lagoon Postman' });
    await hand.clear(field);
    await hand.type(field, 'Bay Postman{Enter}');
    await hand.click((await row('Bay Postman')).getByRole('button', { name: 'Copy Bay Postman' }));
    await waitFor(async () => expect(await designs.list()).toHaveLength(2));
    await hand.click((await row('Bay Postman')).getByRole('button', { name: /^Remove Bay Postman/ }));
    await waitFor(async () => expect(await designs.list()).toHaveLength(1));
    await hand.click(await screen.findByText('Removed designs (1)'));
    await hand.click(screen.getByRole('button', { name: 'Put back' }));
    await waitFor(async () => expect(await designs.list()).toHaveLength(2));
  });

  test('files are taken whole or not at all, each with its fault and place', async () => {
    const { hand, designs } = await page();
    const good = new File([designText({ design: demoDesign('heron-canard') })], 'heron.json', {
      type: 'application/json',
    });
    const crooked = structuredClone(demoDesign('gannet-vee')) as unknown as { surfaces: { stations: unknown[] }[] };
    crooked.surfaces[0]!.stations[0] = { distanceFromRoot: 0, chord: -3 };
    const bad = new File([JSON.stringify(crooked)], 'gannet.json', { type: 'application/json' });
    const newer = new File([JSON.stringify({ ...demoDesign('gannet-vee'), version: 99 })], 'newer.json');
    const nonsense = new File(['{"format": "inclinar-des'], 'torn.json', { type: 'application/json' });
    await hand.upload(screen.getByLabelText('Design files to import'), [good, bad, newer, nonsense]);
    await waitFor(() => expect(screen.getAllByRole('alert').length).toBe(3));
    const alerts = screen.getAllByRole('alert').map((alert) => alert.textContent!);
    expect(alerts[0]).toMatch(/^gannet\.json was not taken; nothing else changed\./);
    expect(alerts[0]).toContain('/surfaces/wing/stations/0/chord'.replace('wing', '0'));
    expect(alerts[1]).toMatch(/^newer\.json.*newer/);
    expect(alerts[2]).toMatch(/^torn\.json/);
    expect((await designs.list()).map(({ name }) => name).sort()).toEqual(['Heron Canard', 'Lagoon Postman']);
  });

  test('renaming takes the focus and gives it back; Escape leaves the name', async () => {
    const { hand, designs } = await page();
    const pencil = () => screen.getByRole('button', { name: 'Rename Lagoon Postman' });
    await row('Lagoon Postman');
    pencil().focus();
    await hand.keyboard('{Enter}Bay{Escape}');
    expect(document.activeElement).toBe(pencil());
    await hand.keyboard('{Enter}Bay Ferry{Enter}');
    await row('Bay Ferry');
    expect(document.activeElement).toBe(screen.getByRole('button', { name: 'Rename Bay Ferry' }));
    expect((await designs.list())[0]!.name).toBe('Bay Ferry');
  });

  test('what cannot be read stands in the list, is saved as it is, removed, and put back', async () => {
    const { hand, designs, id } = await page();
    await designs.save(id, { ...demoDesign('gannet-vee'), name: 'Half a design', surfaces: 3 } as never, 1);
    expect(await screen.findByText('Half a design cannot be read')).toBeTruthy();
    const saved = vi.spyOn(download, 'downloadFile').mockImplementation(() => undefined);
    await hand.click(screen.getByRole('button', { name: 'Save it as it is' }));
    expect(saved.mock.calls[0]![0].parts[0]).toContain('"name": "Half a design"');
    saved.mockRestore();
    await hand.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(screen.queryByText(/cannot be read/)).toBeNull());
    expect(document.activeElement).toBe(screen.getByRole('heading', { name: 'Designs' }));
  });

  test('settings that could not be read stand above the list until they are taken away', async () => {
    const { hand, designs } = await page();
    await designs.changeSetting('settings', () => 7);
    await designs.changeSetting(
      'settings',
      () => ({}),
      () => false,
    );
    expect(await screen.findByText('A part of the units and the drawer cannot be read')).toBeTruthy();
    await hand.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(screen.queryByText(/cannot be read/)).toBeNull());
    expect(await designs.settingsAside()).toEqual([]);
  });

  test('a full storage says why nothing is started, copied or imported', async () => {
    const { hand, designs } = await page();
    await row('Lagoon Postman');
    const said = vi.spyOn(toast, 'error').mockReturnValue(1);
    const full = new DOMException('x', 'QuotaExceededError');
    vi.spyOn(designs, 'create').mockRejectedValue(full);
    vi.spyOn(designs, 'duplicate').mockRejectedValue(full);
    await hand.click(screen.getByRole('button', { name: 'New design' }));
    await hand.click(screen.getByRole('button', { name: 'Copy Lagoon Postman' }));
    const file = new File([designText({ design: demoDesign('heron-canard') })], 'heron.json');
    await hand.upload(screen.getByLabelText('Design files to import'), [file]);
    await waitFor(() => expect(said).toHaveBeenCalledTimes(3));
    const texts = said.mock.calls.map(([text]) => text as string);
    expect(texts.map((text) => text.split(':')[0])).toEqual([
      'No design was started',
      'Lagoon Postman was not copied',
      'heron.json was not imported',
    ]);
    for (const text of texts) expect(text).toMatch(/storage is full/);
    said.mockRestore();
  });

  test('every design shows its plan and has a way out of the browser', async () => {
    await page();
    const entry = await row('Lagoon Postman');
    expect(entry.getByRole('button', { name: 'Export Lagoon Postman' })).toBeTruthy();
    expect(document.querySelector('[data-design="Lagoon Postman"] svg path, [data-design] svg polygon')).toBeTruthy();
    expect(document.body.textContent).toContain('Inclinar computes; it does not certify');
  });
});

describe('finding, choosing, comparing', () => {
  const fleet = async () => {
    const open = await page();
    for (const name of ['heron-canard', 'gannet-vee']) await open.designs.create(demoDesign(name));
    await row('Gannet Vee');
    return open;
  };
  const links = () => screen.getAllByRole('link').flatMap(({ textContent }) => textContent ?? []);

  test('words, tags and order choose what is listed; what is called nothing says so', async () => {
    const { hand } = await fleet();
    await hand.type(screen.getByRole('searchbox', { name: 'Find by name or tag' }), 'tail first');
    await waitFor(() => expect(links().filter((name) => /Postman|Heron|Gannet/.test(name))).toEqual(['Heron Canard']));
    await hand.type(screen.getByRole('searchbox'), ' qq');
    await hand.click(await screen.findByRole('button', { name: 'Show all' }));
    await row('Gannet Vee');
    await hand.click(screen.getByRole('radio', { name: 'school' }));
    await waitFor(() => expect(screen.queryByRole('link', { name: 'Gannet Vee' })).toBeNull());
    await hand.click(screen.getByRole('radio', { name: 'school' }));
    await choose(hand, 'Sorted by', 'span');
    await waitFor(() =>
      expect(links().filter((name) => /Postman|Heron|Gannet/.test(name))).toEqual([
        'Lagoon Postman',
        'Heron Canard',
        'Gannet Vee',
      ]),
    );
  });

  test('tags are typed in one line and found at once', async () => {
    const { hand, designs } = await fleet();
    await hand.click((await row('Gannet Vee')).getByRole('button', { name: 'Tag Gannet Vee' }));
    const field = screen.getByRole('textbox', { name: 'Tags of Gannet Vee, between commas' });
    await hand.clear(field);
    await hand.type(field, 'fast, V-tail{Enter}');
    await screen.findByRole('radio', { name: 'V-tail' });
    expect((await designs.heads()).find(({ name }) => name === 'Gannet Vee')!.tags).toEqual(['fast', 'V-tail']);
  });

  test('several are removed at once, and put back at once', async () => {
    const { hand, designs } = await fleet();
    for (const name of ['Heron Canard', 'Gannet Vee'])
      await hand.click((await row(name)).getByRole('checkbox', { name: `Choose ${name}` }));
    const bar = within(screen.getByRole('group', { name: 'Chosen designs' }));
    expect(bar.getByRole('status').textContent).toBe('2 designs chosen');
    await hand.click(bar.getByRole('button', { name: 'Remove' }));
    await waitFor(async () => expect((await designs.list()).map(({ name }) => name)).toEqual(['Lagoon Postman']));
    expect(screen.queryByRole('group', { name: 'Chosen designs' })).toBeNull();
    await designs.takeFromBin(...(await designs.bin()).map(({ id }) => id));
    await row('Heron Canard');
  });

  test('two are compared by their numbers and by what differs', async () => {
    const { hand } = await fleet();
    for (const name of ['Lagoon Postman', 'Gannet Vee'])
      await hand.click((await row(name)).getByRole('checkbox', { name: `Choose ${name}` }));
    await hand.click(screen.getByRole('button', { name: 'Compare' }));
    const sheet = within(await screen.findByRole('dialog', { name: 'Two designs compared' }));
    const cells = within(await sheet.findByRole('row', { name: /^Span/ })).getAllByRole('cell');
    // 1237.0 and 1119.3 mm as the command line prints them.
    expect(cells.map(({ textContent }) => textContent)).toEqual(['1237 mm', '1119.3 mm', '−117.7 mm']);
    expect(sheet.getByText(/brief, purpose/i)).toBeTruthy();
  });
});
