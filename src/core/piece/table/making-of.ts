import type { PartKind } from '../part';
import { type Making, SOLID } from './bases/leg-apron/making';
import { baseKind, type TableForm } from './form';

/** How parts of a kind are made: as the base says of its own, all others of one blank. */
export const makingOf = ({ base }: Pick<TableForm, 'base'>, kind: PartKind): Making =>
  baseKind(base.kind).making?.(base, kind) ?? SOLID;
