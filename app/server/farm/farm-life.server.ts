import { createContext } from "react-router";

/** Where a farm's data file and its archives lie, and the way to put another file in its place. */
export interface FarmLife {
  readonly path: string;
  readonly folder: string;
  /** Closes the data file for as long as some work takes; requests wait meanwhile. */
  readonly whileClosed: <Result>(work: () => Promise<Result>) => Promise<Result>;
}

/** Set for every request by the root's middleware. */
export const farmLifeContext = createContext<FarmLife>();
