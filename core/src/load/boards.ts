import type { Board } from '../model/board.ts';
const board = (id: string, label: string, widthMm: number, lengthMm: number): Board => ({
  id,
  label,
  widthMm,
  lengthMm,
  marginMm: 3,
  gapMm: 6,
});

/** Starting list, smallest first. */
export const BOARDS: readonly Board[] = [
  board('small', 'Small board', 110, 305),
  board('square', 'Board', 290, 295),
  board('long', 'Long board', 290, 600),
  { ...board('backed', 'Backed film, no board', 330, 3600), alone: true },
];

/** The board with this id, a person's own first, or the usual one. */
export function boardById(id: string, own: readonly Board[] = []): Board {
  return own.find((b) => b.id === id) ?? BOARDS.find((b) => b.id === id) ?? BOARDS[1]!;
}
