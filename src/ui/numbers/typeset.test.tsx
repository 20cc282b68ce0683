import { render } from '@testing-library/react';
import { expect, test } from 'vitest';
import { Typeset } from './Typeset';

const html = (text: string) => render(<Typeset text={text} />).container.innerHTML;

test('symbols have their index lowered, everything else stays', () => {
  expect(html('V_s = √( 2 m g / (ρ S C_Lmax) )')).toBe('V<sub>s</sub> = √( 2 m g / (ρ S C<sub>Lmax</sub>) )');
  expect(html('C_L,full, held by C_mδ')).toBe('C<sub>L,full</sub>, held by C<sub>mδ</sub>');
  expect(html('C_m, C_l')).toBe('C<sub>m</sub>, C<sub>l</sub>');
  expect(html('no symbol here')).toBe('no symbol here');
});
