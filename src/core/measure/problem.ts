/** A failure that a person can cause and mend: what, where, and the way out. */
export interface Problem {
  problem: string;
  where: string;
  wayOut: string;
}
