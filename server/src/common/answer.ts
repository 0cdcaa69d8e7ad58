import { applyDecorators } from '@nestjs/common';
import { ApiResponse } from '@nestjs/swagger';

/** Names of the shapes that routes answer with, each a type of answers.ts: the published document names them. */
export type AnswerShape =
  | 'Absence'
  | 'CrewDay'
  | 'Outage'
  | 'Batch'
  | 'Availability'
  | 'BatchSummary'
  | 'BoardAnswer'
  | 'BookAnswer'
  | 'BusinessAnswer'
  | 'ChangeOrder'
  | 'CalendarAnswer'
  | 'CostingAnswer'
  | 'CountAnswer'
  | 'Crew'
  | 'Customer'
  | 'CustomerDetail'
  | 'EarningsMonth'
  | 'Feed'
  | 'FleetAnswer'
  | 'Health'
  | 'InviteAnswer'
  | 'InviteMade'
  | 'ItemLine'
  | 'Job'
  | 'LearnedAnswer'
  | 'LedgerEntry'
  | 'LoadOn'
  | 'MarginLine'
  | 'NeedsAnswer'
  | 'User'
  | 'ModelDetail'
  | 'Model'
  | 'ModelFile'
  | 'LoggedWeek'
  | 'MoveAnswer'
  | 'PromiseAnswer'
  | 'ReplanAnswer'
  | 'Order'
  | 'OrderList'
  | 'Person'
  | 'PriceEntry'
  | 'PriceListAnswer'
  | 'PriceSheet'
  | 'Purchase'
  | 'PurchaseSummary'
  | 'RackLine'
  | 'RoadAnswer'
  | 'SessionLine'
  | 'SettingsAnswer'
  | 'SetupAnswer'
  | 'Spec'
  | 'Supplier'
  | 'ToCut'
  | 'TodayAnswer'
  | 'VisitAnswer'
  | 'WaitLine'
  | 'WorkOrder'
  | 'WorkPlanAnswer';

/** Says what a route answers with, by the name of its shape. */
export const Answers = (shape: AnswerShape, more: { readonly list?: boolean; readonly status?: number } = {}) => {
  const ref = { $ref: `#/components/schemas/${shape}` };
  return applyDecorators(
    ApiResponse({
      status: more.status ?? 200,
      description: shape,
      schema: more.list ? { type: 'array', items: ref } : ref,
    }),
  );
};
