import type { Options } from 'css-select';
import type { Element } from './tree.ts';

/** How a selector looks at the elements of a drawing. */
export const elementAdapter: NonNullable<Options<Element, Element>['adapter']> = {
  isTag: (_node): _node is Element => true,
  getAttributeValue: (element, name) => element.attributes[name],
  getChildren: (element) => element.children,
  getName: (element) => element.name,
  getParent: (element) => element.parent,
  getSiblings: (element) => element.parent?.children ?? [element],
  getText: () => '',
  hasAttrib: (element, name) => element.attributes[name] !== undefined,
  removeSubsets: (nodes) => nodes,
};
