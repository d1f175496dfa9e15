/** What is tried once a machine is together again. */
export interface AssembledRow {
  readonly what: string;
  /** What to mind while it is tried; empty where nothing. */
  readonly caution: string;
  /** Nothing is passed while it is open: a hidden crack or a leak hurts people. */
  readonly holds: boolean;
}

/** In the order in which they are tried. */
export const ASSEMBLED = {
  crack: {
    what: 'Looked over for cracks by dye or magnet, as it was straightened',
    caution: 'Hidden cracks let go under load. Solvent and spray: air the room, no flame.',
    holds: true,
  },
  ring: {
    what: 'Rings seated all round, and pulled hard against the wall that bears',
    caution: 'Eyes covered: a ring flies.',
    holds: false,
  },
  key: { what: 'Keys tight in the shaft, hubs home over them', caution: '', holds: false },
  home: { what: 'What was pressed or shrunk is home: no feeler goes under its shoulder', caution: '', holds: false },
  thread: { what: 'Nut and mate go on by hand over the whole thread', caution: '', holds: false },
  'end-play': { what: 'End play by the indicator, pushed and pulled', caution: '', holds: false },
  backlash: { what: 'Backlash at four places of the turn, and the contact pattern', caution: 'Fingers out of the mesh.', holds: false },
  turns: {
    what: 'Turns freely by hand with no tight spot, and again once it ran warm',
    caution: 'Guards on before it runs under power.',
    holds: false,
  },
  seal: { what: 'Seals slid over their lead-in without a nick, lips oiled', caution: '', holds: false },
  leak: {
    what: 'Holds its oil: bled, brought up slowly with oil to its working pressure',
    caution: 'Behind a shield, nobody in line with it, no hand near a jet of oil. Never with air.',
    holds: true,
  },
} as const satisfies Record<string, AssembledRow>;
export type AssembledId = keyof typeof ASSEMBLED;
export const ASSEMBLED_IDS = Object.keys(ASSEMBLED) as AssembledId[];
