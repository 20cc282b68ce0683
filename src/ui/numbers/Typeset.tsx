import { Fragment } from 'react';

/** A symbol with its index: one letter, perhaps barred, then what is lowered: `C_Lmax`, `V_p`, `C_L,full`. */
const INDEXED = /(\p{L}\p{M}?)_([\p{L}\p{N}½¼′]+(?:,[\p{L}\p{N}]+)*)/gu;

interface TypesetProps {
  readonly text: string;
  /** Within the text of a drawing, which knows no lowered letters of its own. */
  readonly inDrawing?: boolean;
}

/** A text whose symbols stand as symbols do: the index lowered. */
export function Typeset({ text, inDrawing = false }: TypesetProps) {
  const pieces: React.ReactNode[] = [];
  let done = 0;
  for (const found of text.matchAll(INDEXED)) {
    const next = found.index + found[0].length;
    pieces.push(text.slice(done, found.index), found[1]);
    if (inDrawing) {
      pieces.push(
        <tspan dy="0.25em" fontSize="0.75em">
          {found[2]}
        </tspan>,
        // An empty piece would not bring the line up again.
        <tspan dy="-0.19em">{text.slice(next, next + 1) || '\u200b'}</tspan>,
      );
      done = next + 1;
    } else {
      pieces.push(<sub>{found[2]}</sub>);
      done = next;
    }
  }
  if (pieces.length === 0) return text;
  pieces.push(text.slice(done));
  return pieces.map((piece, index) => <Fragment key={index}>{piece}</Fragment>);
}
