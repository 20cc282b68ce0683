import { readFileSync } from 'node:fs';
import { basename } from 'node:path';
import type { Plugin } from 'vite';

/** A number among the upper-case constants of a module. */
export interface ThresholdConstant {
  /** Module path from the root of the repository. */
  readonly file: string;
  /** Name of the constant that holds it. */
  readonly name: string;
  /** Which of the numbers of the module. */
  readonly index: number;
  readonly text: string;
}

const DECLARATION = /^(?:export )?const ([A-Z][A-Z0-9_]*)\b[\s\S]*?;\n/gm;
const NUMBER = /'[^'\n]*'|`[^`]*`|(?<![\w.$])\d+(?:\.\d+)?(?:e-?\d+)?(?![\w.])/g;
const QUERY = 'mutant';

/** Numbers of a module's constants with their places in its text. */
function numbersIn(code: string): { name: string; text: string; at: number }[] {
  return [...code.matchAll(DECLARATION)].flatMap((declaration) =>
    [...declaration[0].matchAll(NUMBER)]
      .filter(([text]) => /^\d/.test(text))
      .map((number) => ({ name: declaration[1]!, text: number[0], at: declaration.index + number.index })),
  );
}

/** Every number that a module's constants hold. @param file path from the root of the repository */
export const constantsIn = (file: string): ThresholdConstant[] =>
  numbersIn(readFileSync(file, 'utf8')).map(({ name, text }, index) => ({ file, name, index, text }));

/**
 * A module in a world where one constant is another: its own, or one that it
 * imports. @param subject path of the module that is asked for, from the root
 */
export const mutantOf = (
  subject: string,
  { file, index }: ThresholdConstant,
  factor: number,
): Promise<Record<string, unknown>> =>
  import(/* @vite-ignore */ `/${subject}?${QUERY}=${encodeURIComponent(`${file}~${index}~${factor}`)}&as.ts`);

/** Vite plugin behind `mutantOf`: scales the constant in its own module, and sends who imports it to that copy. */
export function mutants(): Plugin {
  return {
    name: 'mutants',
    enforce: 'pre',
    transform(code, id) {
      const query = new URLSearchParams(id.split('?')[1]).get(QUERY);
      if (query === null) return null;
      const [file, index, factor] = query.split('~') as [string, string, string];
      if (id.split('?')[0]!.endsWith(file)) {
        const number = numbersIn(code)[Number(index)];
        if (!number) throw new Error(`${file} has no constant ${index}.`);
        const scaled = String(Number(number.text) * Number(factor));
        return code.slice(0, number.at) + scaled + code.slice(number.at + number.text.length);
      }
      const module = basename(file, '.ts');
      const importing = new RegExp(`(from '[^']*/${module})'`);
      if (!importing.test(code)) throw new Error(`${id.split('?')[0]} does not import ${file}.`);
      return code.replace(importing, `$1?${QUERY}=${encodeURIComponent(query)}&as.ts'`);
    },
  };
}
