const LAST_WORD = 'Labels, local codes and trained people come first.';

/** Hazards of a step, each told once, where it is first met. */
export const CAUTIONS = {
  blade: 'Blades and needle weeders: cut and pick away from your fingers.',
  'blade-bed': 'Keep hands and sleeves out of the cutter while it moves.',
  alcohol: 'Alcohol burns. Keep flames and heat tools away until it has dried.',
  latex: 'Some people are allergic to latex. Burst pieces choke small children: pick them up.',
  helium: `Never breathe helium. ${LAST_WORD}`,
  'lip-zone': 'Film stays out of the inside and off the lip zone: it is not made for contact with food.',
  heat: 'A heat tool heats metal fast and burns skin. Low, moving all the time, and only when all alcohol has dried.',
  sealer: `Clear coat only in moving air and by its label; keep it off the drinking edge and out of the inside. ${LAST_WORD}`,
  foil: 'Metallised film must not go in a microwave.',
  strip: `Coating stripper burns skin and eyes: gloves, goggles, moving air, children away; waste by local rules. ${LAST_WORD}`,
  etch: `Etching cream burns skin and eyes: gloves, goggles, moving air, children away. ${LAST_WORD}`,
  blast: `A cabinet, or respirator and goggles; grit without silica; somebody trained beside you. ${LAST_WORD}`,
  paint: `Spray outdoors or in moving air, away from flames; brush paints by their label. ${LAST_WORD}`,
} as const satisfies Record<string, string>;

/** Name of a hazard in files. */
export type CautionCode = keyof typeof CAUTIONS;
