// Short names of what the bench deals in.
import type { Schemas } from '../api';

export type Bench = Schemas['BenchOut'];
export type Step = Schemas['BenchStepOut'];
export type Place = Schemas['PlaceOut'];
export type Guard = Schemas['GuardOut'];
export type Wait = Schemas['WaitOut'];
export type ScrewClass = Schemas['ScrewClassOut'];
export type BenchWords = Schemas['BenchWordsOut'];
export type Refusal = Schemas['RefusalOut'];
export type BenchStage = 'open' | 'clean' | 'fit' | 'close';
export const BENCH_STAGES: BenchStage[] = ['open', 'clean', 'fit', 'close'];

/** What happened on this tablet and is on its way to the server. number: its place in the log once it was taken. */
export interface Queued {
  id: string;
  kind: string;
  data: Record<string, unknown>;
  turn: number;
  made_at: string;
  photo?: string;
  number?: number;
}

/** What the server did not take: kept until somebody has seen it. */
export interface SentBack {
  event: Queued;
  refusal: Refusal;
}
