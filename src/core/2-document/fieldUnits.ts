import { designJsonSchema } from './readDesign';
import { splitField } from './edit/fieldPath';

/** The part of JSON Schema that is walked here. */
interface SchemaNode {
  readonly description?: string;
  readonly properties?: Readonly<Record<string, SchemaNode>>;
  readonly items?: SchemaNode;
  readonly anyOf?: readonly SchemaNode[];
  readonly oneOf?: readonly SchemaNode[];
}

let root: SchemaNode | undefined;

/**
 * Unit in which the document holds the number at a path, as its description in
 * the schema gives it, such as `mm` or `g/m²`; empty for pure numbers and for
 * what is no number.
 */
export function unitOfField(path: string): string {
  root ??= designJsonSchema() as SchemaNode;
  let nodes: readonly SchemaNode[] = [root];
  for (const name of splitField(path)) nodes = nodes.flatMap((node) => members(node, name));
  for (const { description } of nodes.flatMap(alternatives)) {
    const unit = /\[([^\]]+)\]$/.exec(description ?? '')?.[1];
    if (unit !== undefined) return unit === 'fraction or pure number' ? '' : unit;
  }
  return '';
}

function alternatives(node: SchemaNode): SchemaNode[] {
  return [node, ...[...(node.anyOf ?? []), ...(node.oneOf ?? [])].flatMap(alternatives)];
}

/** What stands under a name; members of a list are named by id or place, and all are alike. */
function members(node: SchemaNode, name: string): SchemaNode[] {
  return alternatives(node).flatMap(({ properties, items }) => {
    const member = properties?.[name] ?? items;
    return member ? [member] : [];
  });
}
