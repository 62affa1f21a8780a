import { formatLength, type NameViewModel, type Units } from '@mivet/core';

/** How a name was fitted, or why it was not; empty when it stands as it is. */
export function fitWords(name: NameViewModel, unit: Units): string {
  if (!name.made) return 'its blank cannot be flattened yet';
  if (name.missing.length > 0) return `the font lacks ${name.missing.join(' ')}`;
  if (name.overMm > 0) return `${formatLength(name.overMm, unit)} too wide`;
  return { 'as is': '', smaller: 'smaller', 'closed up': 'letters tightened', 'by hand': 'by hand', 'too long': '' }[
    name.how
  ];
}
