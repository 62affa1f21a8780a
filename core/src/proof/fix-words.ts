import { FONT_CHOICES } from '../artwork/font.ts';
import { formatLength, type Units } from '../measure/length.ts';
import type { Command } from '../model/command.ts';

/** What a fix does, as a button says it. */
export function describeCommand(command: Command, unit: Units): string {
  switch (command.do) {
    case 'move-item':
      return command.downMm > 0
        ? `Move down ${formatLength(command.downMm, unit)}`
        : `Move up ${formatLength(-command.downMm, unit)}`;
    case 'turn-item':
      return `Turn ${Math.abs(command.byDeg).toFixed(0)}° ${command.byDeg > 0 ? 'to the right' : 'to the left'}`;
    case 'scale-item':
      if (command.exact) return 'Make it meet exactly';
      return `Make it ${Math.round((1 - command.factor) * 100)} % smaller${command.toMiddleMm === undefined ? '' : ', in the middle'}`;
    case 'both-faces':
      return 'One on either face instead';
    case 'drop-specks':
      return 'Leave the specks off';
    case 'mark-layers':
      return command.how === 'marks' ? 'Cut registration marks' : 'Line them up by hand';
    case 'build-stack':
      return 'Knock each film out of those below';
    case 'stand-twice':
      return 'Let the film stand twice';
    case 'order-films':
      return 'Order the films as they are drawn';
    case 'bring-up':
      return 'Bring it to the top';
    case 'close-gaps':
      return command.gaps.length === 1
        ? `Close the gap by ${formatLength(command.gaps[0]!.mm, unit)}`
        : `Close the ${command.gaps.length} gaps`;
    case 'lay-singly':
      return command.several ? 'Lay the figures one by one' : 'Lay it by itself, as a patch';
    case 'slit-item':
      return `Slit it ${command.count} times, ${formatLength(command.depthMm, unit)} deep`;
    case 'lay-warm':
      return 'Lay it warm';
    case 'lay-cold':
      return 'Lay it cold';
    case 'lap-seam':
      return `Lap it ${formatLength(command.mm, unit)}`;
    case 'fuse-items':
      return 'Fuse overlaps';
    case 'replace-reading':
      return `Take ${formatLength(command.mm, unit)}`;
    case 'choose-board':
      return 'Use the longer board';
    case 'keep-band':
      return `End the band ${formatLength(command.leftOffMm, unit)} ${command.end === 'base' ? 'higher' : 'lower'}`;
    case 'name-box':
      return `Let names be ${formatLength(command.widthMm, unit)} wide, capitals from ${formatLength(command.leastCapMm, unit)}`;
    case 'wander-seam':
      return 'Let the seam wander between pieces';
    case 'split-panels':
      return `Split into ${command.panels} panels`;
    case 'arrange-anew':
      return 'Shuffle';
    case 'thicken-item':
      return `Thicken it by ${formatLength(command.mm, unit)} all round`;
    case 'change-film':
      return `Cut it from ${command.name}`;
    case 'read-forwards':
      return 'Let it read forwards';
    case 'set-hand':
      return `Make “${command.name}” for the ${command.hand} hand`;
    case 'bridge-islands':
      return `Bridge them, ${formatLength(command.mm, unit)} wide`;
    case 'refit-mask':
      return 'Fit the mask to the design';
    case 'set-font':
      return `Set it in ${(FONT_CHOICES.find((f) => f.id === command.font)?.label ?? 'other letters').toLowerCase()}`;
    case 'one-band':
      return 'Lay it on one band';
  }
}
