import 'fake-indexeddb/auto';
import { cleanup, screen } from '@testing-library/react';
import { toast } from 'sonner';
import { describe, expect, test, vi } from 'vitest';
import { simpleAircraft } from '#/tests/designs';
import { choose, show } from '#/tests/render';
import { unitsChanged } from '@/store/settingsSlice';
import { ChoiceChips } from './ChoiceChips';
import { QuantityField } from './QuantityField';
import { SelectField } from './SelectField';
import { TextField } from './TextField';

const box = (name = 'Chord') => screen.getByRole('textbox', { name }) as HTMLInputElement;

describe('a number field', () => {
  const refuse = (value: number) => (value > 500 ? { path: '', message: 'must lie below 500 mm' } : null);

  async function withField(value: number | undefined, more: Partial<Parameters<typeof QuantityField>[0]> = {}) {
    const taken = vi.fn(refuse);
    const open = await show(
      simpleAircraft(),
      <QuantityField label="Chord" kind="length" value={value} onCommit={taken} {...more} />,
    );
    return { ...open, taken };
  }

  test('takes what people type on Enter, in millimetres', async () => {
    const { hand, taken } = await withField(200);
    for (const [text, millimetres] of [
      ['13 3/8 in', 339.725],
      ['34cm', 340],
      ['200 + 12.5', 212.5],
      ['8"', 203.2],
    ] as const) {
      await hand.clear(box());
      await hand.type(box(), `${text}{Enter}`);
      expect(taken).toHaveBeenLastCalledWith(expect.closeTo(millimetres, 9));
    }
  });

  test('a refusal is a sentence under the field, named by it; Escape brings the old number back', async () => {
    const { hand } = await withField(200);
    await hand.clear(box());
    await hand.type(box(), '600{Enter}');
    const alert = screen.getByRole('alert');
    expect(alert.textContent).toBe('Chord must lie below 500 mm.');
    expect(box().getAttribute('aria-invalid')).toBe('true');
    expect(box().getAttribute('aria-describedby')).toBe(alert.id);
    await hand.keyboard('{Escape}');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(box().value).toBe('200');
  });

  test('arrows nudge it, ten steps with Shift, and stop at what is refused', async () => {
    const { hand, taken } = await withField(499.5);
    box().focus();
    await hand.keyboard('{ArrowDown}');
    expect(taken).toHaveBeenLastCalledWith(498.5);
    await hand.keyboard('{Shift>}{ArrowUp}{/Shift}');
    expect(taken).toHaveBeenLastCalledWith(509.5);
    expect(screen.getByRole('alert').textContent).toContain('below 500');
  });

  test('what was typed is taken when the field goes away, as by going back; Escape alone drops it', async () => {
    const { hand, taken } = await withField(200);
    await hand.clear(box());
    await hand.type(box(), '340');
    cleanup();
    expect(taken).toHaveBeenLastCalledWith(340);
    expect(taken).toHaveBeenCalledTimes(1);

    const other = await withField(200);
    await other.hand.clear(box());
    await other.hand.type(box(), '340{Escape}');
    cleanup();
    expect(other.taken).not.toHaveBeenCalled();
  });

  test('what was typed and cannot be taken is said as the field goes away', async () => {
    const { hand } = await withField(200);
    await hand.clear(box());
    await hand.type(box(), '600');
    const said = vi.spyOn(toast, 'error').mockReturnValue(1);
    cleanup();
    expect(said).toHaveBeenCalledWith('“600” was not taken: Chord must lie below 500 mm.');
    said.mockRestore();
  });

  test('an arrow goes on from what was typed', async () => {
    const { hand, taken } = await withField(200);
    await hand.clear(box());
    await hand.type(box(), '340{ArrowUp}');
    expect(taken).toHaveBeenLastCalledWith(341);
    await hand.clear(box());
    await hand.type(box(), 'thin{ArrowUp}');
    expect(screen.getByRole('alert').textContent).toContain('“thin” was not understood');
  });

  test('left unchanged it takes nothing; emptied it clears where it may', async () => {
    const clear = vi.fn(() => null);
    const { hand, taken } = await withField(200, { onClear: clear });
    await hand.click(box());
    await hand.tab();
    expect(taken).not.toHaveBeenCalled();
    await hand.clear(box());
    await hand.tab();
    expect(clear).toHaveBeenCalledTimes(1);
  });

  test('follows the chosen units', async () => {
    const { dispatch } = await withField(339.725);
    expect(box().value).toBe('339.7');
    dispatch(unitsChanged({ length: 'in' }));
    await vi.waitFor(() => expect(box().value).toBe('13 3/8'));
  });

  test('on a dimension it takes the focus and leaves when done', async () => {
    const leave = vi.fn();
    const { hand } = await withField(200, { onLeave: leave });
    expect(document.activeElement).toBe(box());
    await hand.keyboard('{Enter}');
    expect(leave).toHaveBeenCalledTimes(1);
  });
});

describe('the other fields', () => {
  test('a text is taken when left, never empty, never without an end', async () => {
    const taken = vi.fn();
    const { hand } = await show(simpleAircraft(), <TextField label="Name" value="Wing" onCommit={taken} />);
    await hand.clear(box('Name'));
    await hand.tab();
    expect(taken).not.toHaveBeenCalled();
    expect(box('Name').value).toBe('Wing');
    await hand.type(box('Name'), 's{Enter}');
    expect(taken).toHaveBeenCalledWith('Wings');
  });

  test('a text that is typed is taken when the field goes away', async () => {
    const taken = vi.fn();
    const { hand } = await show(simpleAircraft(), <TextField label="Name" value="Wing" onCommit={taken} />);
    await hand.type(box('Name'), 's');
    cleanup();
    expect(taken).toHaveBeenCalledExactlyOnceWith('Wings');
  });

  test('a text field that takes the focus is left by Enter and by Escape, which takes nothing', async () => {
    const [taken, leave] = [vi.fn(), vi.fn()];
    const { hand } = await show(
      simpleAircraft(),
      <TextField label="Name" value="Wing" onCommit={taken} onLeave={leave} />,
    );
    expect(document.activeElement).toBe(box('Name'));
    await hand.keyboard('Boom{Escape}');
    expect(leave).toHaveBeenCalledTimes(1);
    expect(taken).not.toHaveBeenCalled();
    await hand.keyboard('Pod{Enter}');
    expect(taken).toHaveBeenCalledExactlyOnceWith(expect.stringContaining('Pod'));
  });

  test('a choice and ticks give back what was chosen, in the order of the options', async () => {
    const chosen = vi.fn();
    const ticked = vi.fn();
    const options = [
      ['a', 'First'],
      ['b', 'Second'],
    ] as const;
    const { hand } = await show(
      simpleAircraft(),
      <>
        <SelectField label="One" value="a" options={options} onChange={chosen} />
        <ChoiceChips legend="Some" options={options} chosen={['b']} onChange={ticked} />
      </>,
    );
    await choose(hand, 'One', 'Second');
    expect(chosen).toHaveBeenCalledWith('b');
    await hand.click(screen.getByRole('checkbox', { name: 'First' }));
    expect(ticked).toHaveBeenLastCalledWith(['a', 'b']);
    await hand.click(screen.getByRole('checkbox', { name: 'Second' }));
    expect(ticked).toHaveBeenLastCalledWith([]);
  });
});
