import type { components } from './api.types.ts';

/** Shapes of the server's answers, as its published description has them. */
type Shapes = components['schemas'];

export type Me = Shapes['User'];
export type BusinessData = Shapes['BusinessAnswer'];
export type Person = Shapes['Person'];
export type SessionLine = Shapes['SessionLine'];
export type InviteMade = Shapes['InviteMade'];
export type InviteData = Shapes['InviteAnswer'];
export type SetupData = Shapes['SetupAnswer'];
export type Crew = Shapes['Crew'];
export type FleetData = Shapes['FleetAnswer'];
export type CalendarData = Shapes['CalendarAnswer'];
export type BookData = Shapes['BookAnswer'];
export type CustomerDetail = Shapes['CustomerDetail'];
export type Customer = Shapes['Customer'];
export type OrderRow = Shapes['OrderRow'];
export type OrderList = Shapes['OrderList'];
export type Order = Shapes['Order'];
export type PriceSheet = Shapes['PriceSheet'];
export type WorkPart = Shapes['WorkPart'];
export type WorkStep = Shapes['WorkStep'];
export type WorkOrder = Shapes['WorkOrder'];
export type WorkPlanData = Shapes['WorkPlanAnswer'];
export type BoardOperation = Shapes['BoardOperation'];
export type BoardData = Shapes['BoardAnswer'];
export type MoveData = Shapes['MoveAnswer'];
export type Model = Shapes['Model'];
export type ModelDetail = Shapes['ModelDetail'];
export type Delivery = Shapes['Delivery'];
export type RoadData = Shapes['RoadAnswer'];
export type LoadOn = Shapes['LoadOn'];
export type SettingsData = Shapes['SettingsAnswer'];
export type TodayData = Shapes['TodayAnswer'];
export type JobData = Shapes['Job'];
export type EarningsMonth = Shapes['EarningsMonth'];
export type VisitData = Shapes['VisitAnswer'];
