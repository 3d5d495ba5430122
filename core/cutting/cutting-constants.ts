export const CUTTING_TOOLS = ["knife", "saw"] as const;
export type CuttingTool = (typeof CUTTING_TOOLS)[number];

/** A practiced cutter's minutes a bird, by tool; someone who cuts a few birds a year with a knife takes 5.5. Choices. See docs/sources.md#packs. */
export const CUT_MINUTES: Readonly<Record<CuttingTool, number>> = { knife: 2.5, saw: 1.5 };
export const HOME_COOK_MINUTES = 5.5;

/** A chamber's cycle, and the hands for one and for each pack, seconds. Choices. See docs/sources.md#packs. */
export const SEALER = { cycleSeconds: 40, loadSeconds: 20, bagSeconds: 20 } as const;

/** What cutting and sealing ask of a bird. */
export interface CuttingWork {
  /** Of a practiced cutter. */
  readonly minutesPerBird: number;
  readonly packsPerBird: number;
  /** Packs that the sealer takes at once. */
  readonly sealAtOnce: number;
}

/** Breasts and leg quarters by two, wings by twelve, backs by four, with a knife, sealed one by one. See docs/sources.md#packs. */
export const USUAL_CUTTING: CuttingWork = {
  minutesPerBird: CUT_MINUTES.knife,
  packsPerBird: 2 / 2 + 2 / 2 + 2 / 12 + 1 / 4,
  sealAtOnce: 1,
};

/** Hands at the sealer for one bird: each pack is bagged, and each cycle loaded, minutes. */
export const sealHandMinutes = ({ packsPerBird, sealAtOnce }: Omit<CuttingWork, "minutesPerBird">): number =>
  (packsPerBird * SEALER.bagSeconds + (packsPerBird / sealAtOnce) * SEALER.loadSeconds) / 60;

/** The sealer's own cycles for one bird's packs, which run without hands, minutes. */
export const sealCycleMinutes = ({ packsPerBird, sealAtOnce }: Omit<CuttingWork, "minutesPerBird">): number =>
  ((packsPerBird / sealAtOnce) * SEALER.cycleSeconds) / 60;
