/** Shapes of every answer, for the published document and the web's types. */
export type { ModelFile } from '@rubbet/core/formats';
export type { Spec } from '@rubbet/core/model';
export type * from './auth/auth.answers.ts';
export type * from './bench/bench.answers.ts';
export type * from './board/board.answers.ts';
export type * from './customers/customers.answers.ts';
export type * from './health/health.answers.ts';
export type * from './models/models.answers.ts';
export type * from './orders/orders.answers.ts';
export type * from './rack/rack.answers.ts';
export type * from './road/road.answers.ts';
export type * from './settings/settings.answers.ts';
export type * from './today/today.answers.ts';
export type * from './visit/visit.answers.ts';
