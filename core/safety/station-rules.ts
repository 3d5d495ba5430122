/** What can hurt someone at a station. Every station says all of it: a new one without rules does not compile. */
export interface StationRules {
  /** Knives or shears are used there. */
  readonly usesBlade: boolean;
  /** Scalding water or steam within reach. */
  readonly isHot: boolean;
  /** A machine that pulls hands in, such as a plucker, saw or grinder. */
  readonly hasMachine: boolean;
  /** Birds or pots are lifted all day. */
  readonly isHeavy: boolean;
  /**
   * Whether a farm may let one named young person work there with an adult beside them. Never true where birds are
   * killed, or where there is hot water or a machine.
   */
  readonly mayBeGranted: boolean;
}

/** A station where nothing is sharp, hot, heavy or turning. */
export const NO_HAZARD: StationRules = {
  usesBlade: false,
  isHot: false,
  hasMachine: false,
  isHeavy: false,
  mayBeGranted: false,
};
