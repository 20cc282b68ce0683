import { readFileSync } from 'node:fs';
import { SEEDED } from './seededPath';

interface StoredState {
  readonly origins: readonly {
    readonly indexedDB?: readonly {
      readonly stores: readonly {
        readonly name: string;
        readonly records: readonly { readonly value?: unknown; readonly valueEncoded?: unknown }[];
      }[];
    }[];
  }[];
}

let ids: ReadonlyMap<string, string> | undefined;

/** Under which name a design of the fleet is stored. */
export function idOfDesign(name: string): string | undefined {
  ids ??= readIds();
  return ids.get(name);
}

function readIds(): ReadonlyMap<string, string> {
  const state = JSON.parse(readFileSync(SEEDED, 'utf8')) as StoredState;
  const text = JSON.stringify(state.origins[0]!.indexedDB![0]!.stores.find(({ name }) => name === 'designs'));
  return new Map([...text.matchAll(/"id":"([^"]+)","name":"([^"]+)"/g)].map(([, id, name]) => [name!, id!]));
}
