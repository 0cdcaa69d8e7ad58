// Made by npm run types from the description of the API; changed there, not here.
export interface components {
  schemas: {
    readonly SignInDto: {
      readonly login: string;
      readonly password: string;
    };
    readonly UnitsDto: {
      /** @enum {string} */
      readonly style: 'inches' | 'feet-inches' | 'mm';
      /** @enum {number} */
      readonly denominator: 16 | 32;
    };
    readonly MyChoicesDto: {
      /** @description Null: as the business has them. */
      readonly units?: components['schemas']['UnitsDto'] | null;
    };
    readonly PasswordDto: {
      readonly current: string;
      readonly next: string;
    };
    readonly AcceptInviteDto: {
      readonly login: string;
      readonly password: string;
    };
    readonly BusinessFields: {
      readonly name?: string;
      readonly address?: string;
      readonly phone?: string;
      readonly email?: string;
      readonly timeZone?: string;
      readonly currency?: string;
      /** @enum {string} */
      readonly paper?: 'letter' | 'a4';
      readonly opens?: string;
      /** @description Working minutes of a day. */
      readonly dayMinutes?: number;
      readonly workdays?: readonly number[];
      /** @description Degrees north. */
      readonly north?: number;
      /** @description Degrees east. */
      readonly east?: number;
    };
    readonly SetupDto: {
      /** @description The code that the terminal printed. */
      readonly code: string;
      readonly name: string;
      readonly login: string;
      readonly password: string;
      readonly business: components['schemas']['BusinessFields'];
      readonly units?: components['schemas']['UnitsDto'];
    };
    readonly SettingsDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description Settings that differ from the defaults. */
      readonly value: {
        readonly [key: string]: unknown;
      };
    };
    readonly BusinessDto: {
      readonly name?: string;
      readonly address?: string;
      readonly phone?: string;
      readonly email?: string;
      readonly timeZone?: string;
      readonly currency?: string;
      /** @enum {string} */
      readonly paper?: 'letter' | 'a4';
      readonly opens?: string;
      /** @description Working minutes of a day. */
      readonly dayMinutes?: number;
      readonly workdays?: readonly number[];
      /** @description Degrees north. */
      readonly north?: number;
      /** @description Degrees east. */
      readonly east?: number;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly PersonDto: {
      readonly name: string;
      readonly phone?: string;
      readonly roles: readonly ('office' | 'shop' | 'driver')[];
      readonly skills?: readonly ('saw' | 'bay' | 'paint' | 'yard' | 'road' | 'site')[];
      /** @description Minutes a day, Sunday first. */
      readonly hours?: readonly number[] | null;
    };
    readonly PersonChangeDto: {
      readonly name?: string;
      readonly phone?: string;
      readonly roles?: readonly ('office' | 'shop' | 'driver')[];
      readonly skills?: readonly ('saw' | 'bay' | 'paint' | 'yard' | 'road' | 'site')[];
      /** @description Minutes a day, Sunday first. */
      readonly hours?: readonly number[] | null;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description False: may not sign in any more; what they did stays. */
      readonly active?: boolean;
    };
    readonly MemberDto: {
      readonly userId: number;
      readonly leads?: boolean;
    };
    readonly CrewDto: {
      /** @enum {string} */
      readonly kind: 'crew' | 'bay';
      readonly name: string;
      readonly stations: readonly ('saw' | 'bay' | 'paint' | 'yard' | 'road' | 'site')[];
      readonly people: number;
      /** @description inches */
      readonly length?: number | null;
      /** @description inches */
      readonly width?: number | null;
      /** @description inches */
      readonly height?: number | null;
      readonly members?: readonly components['schemas']['MemberDto'][];
    };
    readonly CrewChangeDto: {
      /** @enum {string} */
      readonly kind?: 'crew' | 'bay';
      readonly name?: string;
      readonly stations?: readonly ('saw' | 'bay' | 'paint' | 'yard' | 'road' | 'site')[];
      readonly people?: number;
      /** @description inches */
      readonly length?: number | null;
      /** @description inches */
      readonly width?: number | null;
      /** @description inches */
      readonly height?: number | null;
      readonly members?: readonly components['schemas']['MemberDto'][];
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly active?: boolean;
    };
    readonly TrailerDto: {
      readonly name: string;
      /** @description inches */
      readonly bedLength: number;
      /** @description inches */
      readonly bedWidth: number;
      /** @description inches */
      readonly bedHeight: number;
      /** @description pounds */
      readonly carries: number;
      /** @description pounds */
      readonly weight: number;
      readonly tilt: boolean;
    };
    readonly TrailerChangeDto: {
      readonly name?: string;
      /** @description inches */
      readonly bedLength?: number;
      /** @description inches */
      readonly bedWidth?: number;
      /** @description inches */
      readonly bedHeight?: number;
      /** @description pounds */
      readonly carries?: number;
      /** @description pounds */
      readonly weight?: number;
      readonly tilt?: boolean;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly active?: boolean;
    };
    readonly VehicleDto: {
      readonly name: string;
      /** @description pounds */
      readonly tows: number;
      /** @description pounds */
      readonly tongue: number;
    };
    readonly VehicleChangeDto: {
      readonly name?: string;
      /** @description pounds */
      readonly tows?: number;
      /** @description pounds */
      readonly tongue?: number;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly active?: boolean;
    };
    readonly CalendarDayDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description Nobody works that day. */
      readonly closed: boolean;
      readonly note?: string;
      /** @description When the shop closes early, minutes after midnight. */
      readonly closes?: number | null;
      /** @description People stay longer that day. */
      readonly overtime?: boolean;
    };
    readonly SiteDto: {
      readonly address?: string;
      readonly miles?: number;
      /** @description degrees */
      readonly bearing?: number | null;
      /** @description minutes */
      readonly opens?: number | null;
      /** @description minutes */
      readonly closes?: number | null;
      readonly name: string;
      readonly notes?: string;
    };
    readonly SiteChangeDto: {
      readonly address?: string;
      readonly miles?: number;
      /** @description degrees */
      readonly bearing?: number | null;
      /** @description minutes */
      readonly opens?: number | null;
      /** @description minutes */
      readonly closes?: number | null;
      readonly name?: string;
      readonly notes?: string;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly CustomerDto: {
      readonly address?: string;
      readonly miles?: number;
      /** @description degrees */
      readonly bearing?: number | null;
      /** @description minutes */
      readonly opens?: number | null;
      /** @description minutes */
      readonly closes?: number | null;
      readonly name: string;
      readonly phone?: string;
      readonly email?: string;
      readonly notes?: string;
    };
    readonly CustomerChangeDto: {
      readonly address?: string;
      readonly miles?: number;
      /** @description degrees */
      readonly bearing?: number | null;
      /** @description minutes */
      readonly opens?: number | null;
      /** @description minutes */
      readonly closes?: number | null;
      readonly name?: string;
      readonly phone?: string;
      readonly email?: string;
      readonly notes?: string;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly NewOrderDto: {
      readonly customerId: number;
      readonly siteId?: number;
      readonly modelId?: number;
      readonly title: string;
      /** @example 2026-05-04 */
      readonly wantedBy: string;
      readonly quantity?: number;
    };
    readonly FlockDto: Record<string, never>;
    readonly OrderChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly title?: string;
      /** @example 2026-05-04 */
      readonly wantedBy?: string;
      readonly quantity?: number;
      readonly customerId?: number;
      /** @description A site of the customer; null: their own address. */
      readonly siteId?: number | null;
      /**
       * @description How it is made and reaches its place; null: what is proposed.
       * @enum {string|null}
       */
      readonly method?: 'whole' | 'panels' | 'on-site' | 'kit' | null;
      readonly notes?: string;
      readonly flock?: components['schemas']['FlockDto'];
      readonly undo?: readonly ('acceptance' | 'days' | 'work order' | 'delivery day')[];
    };
    readonly MarginDto: {
      /** @description share of the price, 0 to 0.89 */
      readonly share: number;
      readonly why: string;
    };
    readonly DiscountDto: {
      /** @description cents */
      readonly cents: number;
      readonly why: string;
    };
    readonly OptionDto: {
      readonly name: string;
      /** @description cents, before tax */
      readonly price: number;
      readonly taken: boolean;
    };
    readonly TermsDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly margin?: components['schemas']['MarginDto'];
      readonly discount?: components['schemas']['DiscountDto'];
      readonly options: readonly components['schemas']['OptionDto'][];
      /** @description share of the total, 0 to 1 */
      readonly deposit: number;
      readonly validUntil?: string;
    };
    readonly VersionDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly CopyDto: {
      /** @example 2026-05-04 */
      readonly wantedBy: string;
      readonly title?: string;
    };
    readonly RevisionDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly spec: {
        readonly [key: string]: unknown;
      };
      readonly note?: string;
      readonly undo?: readonly ('acceptance' | 'days' | 'work order' | 'delivery day')[];
    };
    readonly SurveyDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly survey: {
        readonly [key: string]: unknown;
      };
    };
    readonly ReasonDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly why: string;
      readonly undo?: readonly ('acceptance' | 'days' | 'work order' | 'delivery day')[];
    };
    readonly PartChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description Names the entry, so that one that is sent again is taken once. */
      readonly entry?: string;
      /** @description When it was made, where that was before it was sent. */
      readonly at?: string;
      /** @enum {string} */
      readonly state?: 'open' | 'cut' | 'spoiled';
      /** @description Measured in place, inches. */
      readonly measured?: number;
      /** @description Why it is so far from what was expected. */
      readonly why?: string;
    };
    readonly StopDto: {
      /** @enum {string} */
      readonly cause: 'material' | 'tool' | 'help' | 'drawing' | 'weather' | 'break' | 'other';
      readonly minutes: number;
    };
    readonly StepChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description Names the entry, so that one that is sent again is taken once. */
      readonly entry?: string;
      /** @description When it was made, where that was before it was sent. */
      readonly at?: string;
      /** @enum {string} */
      readonly state: 'open' | 'done';
      /** @description Minutes to be logged for it. */
      readonly minutes?: number;
      /** @description Minutes that it stood still, by cause; they are no labour. */
      readonly stops?: readonly components['schemas']['StopDto'][];
      /** @description What was read at its check, inches. */
      readonly found?: readonly number[];
      /** @description Why it is outside, and what was done. */
      readonly note?: string;
    };
    readonly TroubleDto: {
      /** @description The step at the bench, by the id of its row. */
      readonly step: number;
      /** @enum {string} */
      readonly cause: 'spoiled' | 'bowed' | 'short stock' | 'missing hardware' | 'wrong drawing' | 'other';
      /** @description The piece, by its mark. */
      readonly mark?: string;
      readonly note?: string;
    };
    readonly SolveDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description What is to be done, for whoever waits for it. */
      readonly answer: string;
    };
    readonly PhotoDto: {
      /** @description The step that it shows, by the id of its row. */
      readonly step: number;
      /** @description JPEG, PNG or WebP in base64, up to 370 KB. */
      readonly data: string;
    };
    readonly ChangeOrderDto: {
      readonly spec: {
        readonly [key: string]: unknown;
      };
      /** @description Why it is changed, and who asked for it. */
      readonly note?: string;
    };
    readonly AcceptChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description What it costs more, cents, where another amount was agreed; less is below nothing. */
      readonly amount?: number;
    };
    readonly RefuseChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly why: string;
    };
    readonly MoveDto: {
      /** @enum {string} */
      readonly kind: 'spoiled' | 'corrected';
      readonly change: number;
      readonly why: string;
    };
    readonly MomentDto: {
      /** @example 2026-05-04 */
      readonly day: string;
      readonly minute: number;
    };
    readonly StretchDto: {
      /** @example 2026-05-04 */
      readonly day: string;
      readonly from: number;
      readonly to: number;
    };
    readonly VisitDto: {
      readonly start: components['schemas']['MomentDto'];
      readonly end: components['schemas']['MomentDto'];
      readonly dry: components['schemas']['MomentDto'];
      readonly people: readonly string[];
      readonly trailer: string | null;
      /** @description The rack that it dries on. */
      readonly driesOn?: string;
      /** @description The delivery from whose site it goes on, or the work before it, set up alike. */
      readonly after?: string;
      /** @description Minutes of its ways where it shares its trip. */
      readonly ways?: readonly number[];
      /** @description A later visit that was put where it is by hand. */
      readonly pinned?: boolean;
      readonly pieces: readonly components['schemas']['StretchDto'][];
    };
    readonly PlacedDto: {
      readonly task: string;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly place: string | null;
      readonly pinned: boolean;
      readonly visits: readonly components['schemas']['VisitDto'][];
    };
    readonly PutBackDto: {
      readonly blocks: readonly components['schemas']['PlacedDto'][];
    };
    readonly ReleaseDto: {
      readonly task: string;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly CauseDto: {
      /** @enum {string} */
      readonly kind: 'ill' | 'out' | 'late wood' | 'rain' | 'spoiled' | 'longer' | 'look again';
      /** @description Who is ill. */
      readonly person?: string;
      /**
       * @description Of what kind it is that is out.
       * @enum {string}
       */
      readonly of?: 'row' | 'trailer';
      /** @description The place, machine or trailer that is out. */
      readonly what?: string;
      /** @description The order whose wood is late, or whose panel is spoiled. */
      readonly order?: number;
      /** @description The block that takes longer, or is to be made again. */
      readonly task?: string;
      /** @description The wet day, the day on which the wood comes, or the first day of an illness or an outage. */
      readonly day?: string;
      /** @description The last day of an illness or an outage. */
      readonly until?: string;
      /** @description How many times as long a block takes. */
      readonly times?: number;
      /** @description Minutes that what is spoiled takes again. */
      readonly minutes?: number;
    };
    readonly ChooseDto: {
      /** @enum {string} */
      readonly plan: 'least upset' | 'fewest late' | 'no overtime';
    };
    readonly AbsenceDto: {
      /** @example 2026-05-04 */
      readonly day: string;
      /** @example 2026-05-08 */
      readonly until?: string;
      /**
       * @description The whole day if left out.
       * @enum {string}
       */
      readonly part?: 'day' | 'morning' | 'afternoon';
      readonly note?: string;
      readonly userId: number;
    };
    readonly CrewDayDto: {
      /** @example 2026-05-04 */
      readonly day: string;
      /** @example 2026-05-08 */
      readonly until?: string;
      readonly userId: number;
      /** @description The crew of those days; none for nobody’s. */
      readonly crew: string | null;
    };
    readonly OutageDto: {
      /** @example 2026-05-04 */
      readonly day: string;
      /** @example 2026-05-08 */
      readonly until?: string;
      /**
       * @description The whole day if left out.
       * @enum {string}
       */
      readonly part?: 'day' | 'morning' | 'afternoon';
      readonly note?: string;
      /** @enum {string} */
      readonly kind: 'row' | 'trailer';
      /** @description Row of the board, or trailer. */
      readonly ref: string;
    };
    readonly FeedDto: {
      /** @enum {string} */
      readonly kind: 'crew' | 'person' | 'trailer' | 'shop';
      /** @description Whose it is: a crew, a person or a trailer; the shop for all. */
      readonly ref: string;
    };
    readonly DeliveryDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @example 2026-05-04 */
      readonly day: string;
      /** @example 09:30 */
      readonly arrives: string;
      readonly trailerId: string;
      readonly notes?: string;
    };
    readonly ModelDto: {
      readonly name: string;
      readonly purpose?: string;
      readonly spec: {
        readonly [key: string]: unknown;
      };
      readonly note?: string;
    };
    readonly ModelFileDto: {
      /** @description A model file as it was read. */
      readonly file: {
        readonly [key: string]: unknown;
      };
    };
    readonly ModelChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly name?: string;
      readonly purpose?: string;
      /** @description Least and most of each parameter that a seller may change. */
      readonly ranges?: {
        readonly [key: string]: unknown;
      };
    };
    readonly ModelRevisionDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly spec: {
        readonly [key: string]: unknown;
      };
      readonly note: string;
    };
    readonly CountLineDto: {
      /** @description The line that was counted; left out where it is new. */
      readonly stock?: number;
      readonly item?: string;
      /** @description inches */
      readonly length?: number;
      /** @description inches */
      readonly width?: number;
      readonly place?: string;
      readonly mark?: string;
      readonly quantity: number;
    };
    readonly CountDto: {
      readonly lines: readonly components['schemas']['CountLineDto'][];
    };
    readonly CountSheetDto: {
      /** @description The sheet as CSV: item, length, mark, place, quantity. */
      readonly csv: string;
      /** @description Whether it is taken over, or only looked at. */
      readonly apply: boolean;
    };
    readonly NewItemDto: {
      readonly name: string;
      /** @description cents */
      readonly cost: number;
      readonly pack?: number;
      readonly supplierId?: string;
      readonly least?: number;
    };
    readonly SizeDto: {
      /** @description A length in inches, a roll as 36x600, or empty where there is one size. */
      readonly size: string;
      /** @description cents */
      readonly cost: number;
    };
    readonly ItemChangeDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description The sizes that are carried, with what they cost. */
      readonly sizes?: readonly components['schemas']['SizeDto'][];
      readonly gravity?: number;
      readonly supplierId?: string | null;
      readonly leadDays?: number | null;
      readonly least?: number;
    };
    readonly SupplierDto: {
      readonly name: string;
      readonly phone?: string;
      readonly email?: string;
      /** @description days */
      readonly leadDays?: number;
      readonly note?: string;
    };
    readonly SupplierChangeDto: {
      readonly name?: string;
      readonly phone?: string;
      readonly email?: string;
      /** @description days */
      readonly leadDays?: number;
      readonly note?: string;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly active?: boolean;
    };
    readonly PriceListDto: {
      /** @description The list as CSV: item, length, price. */
      readonly csv: string;
      /** @description Whether it is taken over, or only looked at. */
      readonly apply: boolean;
    };
    readonly NewBatchDto: {
      readonly title: string;
      readonly orders: readonly number[];
      /** @description Which units of an order of several; all of them where left out. */
      readonly units?: readonly components['schemas']['UnitsDto'][];
    };
    readonly BatchVersionDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
    };
    readonly CutLineDto: {
      readonly id: number;
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description Pieces that are no good, by their place on the stick. */
      readonly spoiled?: readonly number[];
      /** @description What is left of the stick, where it was measured. Inches. */
      readonly left?: number;
    };
    readonly CutDto: {
      readonly lines: readonly components['schemas']['CutLineDto'][];
    };
    readonly ShortDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      /** @description The line of the rack that has fewer than the book says. */
      readonly stock: number;
      readonly there: number;
    };
    readonly UndoCutDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly why: string;
    };
    readonly JobDto: {
      /** @enum {string} */
      readonly kind: 'export' | 'papers';
    };
    readonly PurchaseLineDto: {
      readonly item: string;
      /** @description inches */
      readonly length?: number;
      /** @description inches */
      readonly width?: number;
      readonly quantity: number;
      /** @description cents */
      readonly each: number;
    };
    readonly NewPurchaseDto: {
      readonly supplierId: string;
      readonly note?: string;
      readonly lines: readonly components['schemas']['PurchaseLineDto'][];
    };
    readonly PurchaseActDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly due?: string;
    };
    readonly ReceivedLineDto: {
      readonly id: number;
      readonly quantity: number;
    };
    readonly ReceiveDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly lines: readonly components['schemas']['ReceivedLineDto'][];
      /** @description When the rest is to come, where it is ordered back. */
      readonly due?: string;
    };
    readonly CancelPurchaseDto: {
      /** @description The version that the change was made on, 0 where there was none. */
      readonly version: number;
      readonly why: string;
    };
    readonly ConfirmDto: {
      /** @enum {string} */
      readonly item: 'ground' | 'gate' | 'turning' | 'services' | 'permits' | 'litter' | 'birds' | 'home';
      readonly done: boolean;
    };
    /** @description Somebody who is away on a day: all of it, or from when to when, minutes after midnight. */
    readonly Absence: {
      readonly id: number;
      readonly userId: number;
      readonly name: string;
      readonly day: string;
      readonly from: number | null;
      readonly to: number | null;
      readonly note: string;
    };
    /** @description A panel or group that is built as one thing. `face` looks at it from outside: u to the right, v up. */
    readonly Assembly: import('@rubbet/core/unit').Assembly;
    /** @enum {string} */
    readonly AssemblyKind: import('@rubbet/core/unit').AssemblyKind;
    /** @description What a supplier says of a line: how many it has, and in how many days they are here. */
    readonly Availability: {
      readonly line: number;
      readonly has: number;
      readonly days: number;
    };
    /** @description A batch whole. `job` is what plans it, while it does. */
    readonly Batch: {
      readonly id: number;
      readonly title: string;
      readonly state: components['schemas']['BatchState'];
      /** @description `units`: the first and the last of an order's units, where not all of them are in it. */
      readonly orders: readonly {
        readonly id: number;
        readonly title: string;
        readonly units?: readonly number[];
      }[];
      readonly figures: components['schemas']['BatchFigures'] | null;
      readonly lines: number;
      readonly linesCut: number;
      readonly madeBy: string;
      readonly madeAt: string;
      readonly version: number;
      readonly list: readonly components['schemas']['BatchLine'][];
      readonly job: number | null;
    };
    /** @description What a batch comes to. Cents. */
    readonly BatchFigures: {
      readonly pieces: number;
      readonly sticks: number;
      readonly sheets: number;
      /** @description Batches that were planned before mesh was cut with them have none. */
      readonly rolls?: number;
      /** @description What the wood costs, and what no plan goes under. */
      readonly cost: number;
      readonly costBound: number;
      readonly proved: boolean;
      /** @description How often the stop is set. */
      readonly moves: number;
      /** @description What its rolls of mesh cost. */
      readonly costMesh?: number;
      /** @description What sticks and mesh of each order by itself would cost, from the yard. */
      readonly costApart: number;
      /** @description Pieces that are measured in place first, and stay at the bench. */
      readonly waiting: number;
      readonly buy: readonly {
        readonly item: string;
        readonly length: number;
        readonly width: number | null;
        readonly count: number;
        readonly cost: number;
      }[];
      readonly unplaced: readonly {
        readonly order: number;
        readonly mark: string;
        readonly why: string;
      }[];
    };
    /** @description One stick or sheet of a batch, in its turn. Cents. */
    readonly BatchLine: {
      readonly id: number;
      readonly seq: number;
      /** @description Lines of one stack are cut lying on each other. */
      readonly stack: number;
      /** @enum {string} */
      readonly kind: 'stick' | 'sheet' | 'roll' | 'rip';
      readonly item: string;
      readonly length: number;
      readonly width: number | null;
      readonly cost: number;
      /** @description Where on the rack it is; null where it was to be bought when this was planned. */
      readonly stock: {
        readonly id: number;
        readonly mark: string;
        readonly place: string;
      } | null;
      readonly pieces: readonly components['schemas']['BatchPiece'][];
      readonly cuts: readonly components['schemas']['SheetCut'][] | null;
      readonly rests: readonly components['schemas']['BatchRest'][];
      /** @description It comes from a stick that this batch rips: it is on the rack once that is done. */
      readonly ripped: boolean;
      /** @description Order and mark of the part that it is cut out of, where it is no sheet of its own. */
      readonly dropOf: string | null;
      /** @enum {string} */
      readonly state: 'open' | 'cut';
      readonly cutBy: string | null;
      readonly cutAt: string | null;
      readonly version: number;
    };
    /** @description A part of a piece: whose it is, and where it goes. Inches. */
    readonly BatchPart: {
      readonly order: number;
      readonly part: string;
      readonly mark: string;
      readonly panel: string;
      readonly length: number;
      readonly width?: number;
      readonly rip?: number;
      readonly ends?: string;
    };
    /** @description A piece of a stick, sheet or roll. A piece of a sheet or roll has its place on it. */
    readonly BatchPiece: {
      readonly length: number;
      readonly width?: number;
      readonly x?: number;
      readonly y?: number;
      readonly parts: readonly components['schemas']['BatchPart'][];
      /** @description Width of the strip that ripping leaves. */
      readonly strip?: number;
      /**
       * @description A strip of mesh that runs on from the one before it, round a corner.
       * @constant
       */
      readonly bent?: true;
      /** @enum {string} */
      readonly state: 'open' | 'cut' | 'spoiled';
    };
    /** @description What is left of a stick or sheet, or what is ripped from a stick: of another `item` then. Once it is cut, the line of the rack that it lies in, with its mark. */
    readonly BatchRest: {
      readonly length: number;
      readonly width?: number;
      readonly item?: string;
      readonly stock?: number;
      readonly mark?: string;
    };
    /** @enum {string} */
    readonly BatchState: 'planning' | 'planned' | 'cutting' | 'done' | 'dropped';
    /** @description A line of the list of batches. */
    readonly BatchSummary: {
      readonly id: number;
      readonly title: string;
      readonly state: components['schemas']['BatchState'];
      /** @description `units`: the first and the last of an order's units, where not all of them are in it. */
      readonly orders: readonly {
        readonly id: number;
        readonly title: string;
        readonly units?: readonly number[];
      }[];
      readonly figures: components['schemas']['BatchFigures'] | null;
      readonly lines: number;
      readonly linesCut: number;
      readonly madeBy: string;
      readonly madeAt: string;
      readonly version: number;
    };
    /** @description A level stretch of a foundation: the house, or one bay of its run, each set from a mark of its own. */
    readonly Bench: import('@rubbet/core/site').Bench;
    /** @description What a fastener goes through and what it is held in, inches along it, where it is driven square. */
    readonly Bite: import('@rubbet/core/unit').Bite;
    /** @description What of all that a block is made of is not on the rack: what is on its way, and what nobody has ordered, by its names. */
    readonly BlockSupply: {
      /** @description The first day on which all of it can be there. */
      readonly day: string;
      readonly coming: readonly string[];
      readonly buy: readonly string[];
      /** @description The last day to order it on, for the day that the block is planned for. */
      readonly orderBy: string | null;
    };
    /** @description The crew board. */
    readonly BoardAnswer: {
      readonly today: string;
      readonly now: number;
      readonly opens: number;
      readonly closes: number;
      readonly days: readonly components['schemas']['BoardDay'][];
      readonly places: readonly components['schemas']['BoardPlace'][];
      /** @description Racks that panels dry on. */
      readonly racks: number;
      /** @description Places, machines and trailers that are not to be had: `ref` is a row of the board, or a trailer. */
      readonly out: readonly {
        /** @enum {string} */
        readonly kind: 'row' | 'trailer';
        readonly ref: string;
        readonly day: string;
        readonly from: number;
        readonly to: number;
        readonly note: string;
      }[];
      readonly crews: readonly {
        readonly id: string;
        readonly name: string;
      }[];
      readonly people: readonly components['schemas']['BoardPerson'][];
      readonly trailers: readonly {
        readonly id: string;
        readonly name: string;
      }[];
      readonly orders: readonly components['schemas']['BoardOrder'][];
      readonly operations: readonly components['schemas']['BoardOperation'][];
      readonly faults: readonly components['schemas']['BoardFault'][];
    };
    /** @description A day of the calendar with what the forecast says. */
    readonly BoardDay: {
      readonly day: string;
      readonly works: boolean;
      readonly note: string;
      readonly closes: number;
      readonly overtime: number;
      readonly weather: string;
      readonly rain: number;
      readonly low: number;
      readonly wind: number;
      readonly rise: number;
      readonly set: number;
    };
    /** @description What is wrong with the plan, of which order and block. */
    readonly BoardFault: {
      /** @enum {string} */
      readonly kind:
        | 'unplanned'
        | 'past'
        | 'order'
        | 'person'
        | 'place'
        | 'trailer'
        | 'skill'
        | 'hours'
        | 'weather'
        | 'site'
        | 'room'
        | 'bay'
        | 'late';
      readonly task: string;
      readonly orderId: number;
      readonly text: string;
    };
    /** @description A block of work on the board, or one that has no place yet. */
    readonly BoardOperation: {
      readonly id: string;
      readonly orderId: number;
      readonly title: string;
      readonly name: string;
      readonly station: components['schemas']['Station'];
      /** @description Minutes for its usual crew. */
      readonly minutes: number;
      readonly dry: number;
      /** @description Minutes of the way there, and as many back, within each of its visits. */
      readonly way: number;
      readonly needs: readonly string[];
      /** @description Of its needs, those that need not be done before it begins: a share of that is, and a share of its own waits for all of it. */
      readonly overlaps: readonly components['schemas']['BoardOverlap'][];
      readonly done: boolean;
      readonly pinned: boolean;
      readonly version: number;
      readonly due: string;
      /** @description Bay or saw that it is done at. */
      readonly place: string | null;
      readonly visits: readonly components['schemas']['Visit'][];
      /** @description What of all that it is made of is not there yet. */
      readonly supply: components['schemas']['BlockSupply'] | null;
      /** @description Minutes that it may end later without its order being late; none where it has no place. */
      readonly float: number | null;
      /** @description What keeps it from the days on which all that it needs is there: weather, or its site. */
      readonly held: {
        /** @enum {string} */
        readonly why: 'cold' | 'rain' | 'wind' | 'site';
        /** @description Working days on which that kept it, of so many that lay between. */
        readonly days: number;
        readonly of: number;
      } | null;
    };
    /** @description An order of the board: whether the customer has prepared the site, and when it is done. */
    readonly BoardOrder: {
      readonly id: number;
      readonly title: string;
      readonly due: string;
      readonly ends: string | null;
      readonly late: number;
      /** @description How much the customer has confirmed of what the site is prepared with. */
      readonly confirmed: number;
      readonly delivery: string | null;
    };
    /** @description How far a block may begin before another is done: once a share of that is, while a share of its own still waits for all of it. */
    readonly BoardOverlap: {
      readonly need: string;
      readonly after: number;
      readonly last: number;
    };
    /** @description Somebody whose work is planned. `key` is what blocks name them by. */
    readonly BoardPerson: {
      readonly key: string;
      readonly name: string;
      readonly crew: string | null;
      readonly skills: readonly string[];
      /** @description From when to when they work, by weekday, Sunday first; none on a day off. */
      readonly hours: readonly (readonly number[] | null)[];
      /** @description Days on which somebody works with another crew, or with none. */
      readonly crewOn: readonly {
        readonly day: string;
        readonly crew: string | null;
      }[];
      readonly away: readonly {
        readonly day: string;
        readonly from: number;
        readonly to: number;
        readonly note: string;
      }[];
    };
    readonly BoardPlace: {
      readonly id: string;
      readonly name: string;
      readonly kind: string;
    };
    /** @description A page of the book, newest first; `before` is where the next one begins. */
    readonly BookAnswer: {
      readonly deeds: readonly components['schemas']['DeedLine'][];
      readonly before: number | null;
    };
    /** @description Everything about one unit, computed from its spec: the single source for every later module. */
    readonly Build: import('@rubbet/core/unit').Build;
    /** @description What the judgement rules need to know of a build, whichever family made it. Inches, square feet, degrees. */
    readonly BuildFacts: import('@rubbet/core/unit').BuildFacts;
    /** @description The business with what is true of it just now. */
    readonly BusinessAnswer: {
      readonly name: string;
      readonly address: string;
      readonly phone: string;
      readonly email: string;
      /** @description A zone of the IANA list, such as `America/Chicago`. */
      readonly timeZone: string;
      /** @description Three letters of ISO 4217. */
      readonly currency: string;
      /** @enum {string} */
      readonly paper: 'letter' | 'a4';
      /** @description When the working day begins, `07:30`. */
      readonly opens: string;
      /** @description Working minutes of a day. */
      readonly dayMinutes: number;
      /** @description Days that are worked, 0 (Sunday) to 6. */
      readonly workdays: readonly number[];
      /** @description Where it lies, degrees north and east: when the sun rises and sets there. */
      readonly north: number;
      readonly east: number;
      readonly version: number;
      readonly demo: boolean;
      /** @description Whether passwords that anybody can read about still open a sign-in. */
      readonly demoPasswords: boolean;
      readonly today: string;
    };
    /** @description Everything a business sets for itself; each value has a default of the trade. */
    readonly BusinessRules: import('@rubbet/core/order').BusinessRules;
    /** @description The week as it is worked, and the days that differ from it. */
    readonly CalendarAnswer: {
      readonly today: string;
      readonly opens: string;
      readonly dayMinutes: number;
      readonly workdays: readonly number[];
      readonly days: readonly components['schemas']['CalendarDay'][];
    };
    /** @description A day of the calendar that differs from the others. */
    readonly CalendarDay: {
      readonly day: string;
      readonly closed: boolean;
      readonly note: string;
      /** @description When the shop closes early, minutes after midnight. */
      readonly closes: number | null;
      readonly overtime: boolean;
      readonly version: number;
      /** @description Blocks of open work that stand on it. */
      readonly blocks: number;
    };
    /** @description What the unit must carry and what it offers; areas in square feet, lengths in inches. */
    readonly Capacity: import('@rubbet/core/flock').Capacity;
    /** @description Pieces of one mark with one fate, counted. */
    readonly ChangeLine: {
      readonly fate: components['schemas']['Fate'];
      readonly mark: string;
      readonly name: string;
      readonly item: string;
      /** @description Inches. */
      readonly length: number;
      readonly count: number;
      /** @description The mark and length that they were cut as. */
      readonly from?: {
        readonly mark: string;
        readonly length: number;
      };
    };
    /** @description A change of the spec while it is built: what of that still fits, what is done again, and what it costs. */
    readonly ChangeOrder: {
      readonly id: number;
      /** @enum {string} */
      readonly state: 'proposed' | 'accepted' | 'refused';
      readonly note: string;
      readonly by: string;
      readonly at: string;
      readonly decidedBy: string | null;
      readonly decidedAt: string | null;
      readonly why: string;
      readonly version: number;
      /** @description What the customer pays more (or less). Cents, by what it is made of where it was proposed. */
      readonly price: {
        readonly amount: number;
        readonly difference: number;
        readonly labour: number;
        readonly scrap: number;
      };
      readonly unchanged: number;
      readonly lines: readonly components['schemas']['ChangeLine'][];
      readonly again: readonly components['schemas']['ChangedStep'][];
      readonly gone: readonly components['schemas']['ChangedStep'][];
      readonly minutes: {
        readonly before: number;
        readonly after: number;
        readonly lost: number;
      };
      /** @description Findings that stop it: it cannot be accepted then. */
      readonly stops: readonly string[];
    };
    /** @description A step and the minutes that it stands for. */
    readonly ChangedStep: import('@rubbet/core/order').ChangedStep;
    /** @description Values that the judgement goes by; every one may be set by the business. Common practice, no source. */
    readonly CheckRules: import('@rubbet/core/check').CheckRules;
    /** @description A side of the enclosure that must be closed: region in the plane of `place`, whose u × v points outward. */
    readonly ClosedFace: import('@rubbet/core/unit').ClosedFace;
    /** @description Concrete that others pour before we come: what it must be like for the unit to stand on it. Inches. */
    readonly ConcretePlan: import('@rubbet/core/site').ConcretePlan;
    /** @description What an order was planned to take, and what it took. Cents, minutes. */
    readonly CostedOrder: {
      readonly orderId: number;
      readonly title: string;
      readonly done: boolean;
      /** @description Wood and sheets as the plan of its work order has them, and as they were cut in batches; null where it was not cut in one. */
      readonly woodPlanned: number;
      readonly woodCut: number | null;
      /** @description Share of its sawn parts that batches have cut. */
      readonly cutShare: number;
      readonly minutesPlanned: number;
      /** @description Logged for steps that are done, and what those were planned to take. */
      readonly minutesLogged: number;
      readonly minutesOfDone: number;
      readonly hardwarePlanned: number;
      readonly spoiled: number;
    };
    /** @description Planned against actual, order by order, and where wood went, month by month. */
    readonly CostingAnswer: {
      readonly orders: readonly components['schemas']['CostedOrder'][];
      readonly yields: readonly components['schemas']['YieldLine'][];
    };
    /** @description What a count sheet would change, or has changed, line by line. */
    readonly CountAnswer: {
      readonly faults: readonly {
        readonly row: number;
        readonly message: string;
      }[];
      readonly lines: readonly {
        readonly item: string;
        readonly length: number | null;
        readonly mark: string;
        readonly before: number;
        readonly after: number;
      }[];
      readonly applied: boolean;
    };
    /** @description A crew or a bay: a row of the board. Sizes in inches, for bays. */
    readonly Crew: {
      readonly id: string;
      /** @enum {string} */
      readonly kind: 'crew' | 'bay';
      readonly name: string;
      readonly stations: readonly components['schemas']['Station'][];
      readonly people: number;
      readonly length: number | null;
      readonly width: number | null;
      readonly height: number | null;
      readonly active: boolean;
      readonly members: readonly {
        readonly userId: number;
        readonly name: string;
        readonly leads: boolean;
      }[];
      readonly version: number;
    };
    /** @description A day on which somebody works with another crew than usually; with nobody's, where there is none. */
    readonly CrewDay: {
      readonly id: number;
      readonly userId: number;
      readonly name: string;
      readonly day: string;
      readonly crew: string | null;
      readonly crewName: string | null;
    };
    /** @description What a business plans its crews by: money in cents, minutes, and the weather that stops work. */
    readonly CrewRules: import('@rubbet/core/crews').CrewRules;
    /** @description A customer as the book has them. */
    readonly Customer: {
      readonly id: number;
      readonly name: string;
      readonly phone: string;
      readonly email: string;
      readonly address: string;
      readonly miles: number;
      /** @description Which way it lies from the shop, degrees from north over east. */
      readonly bearing: number | null;
      /** @description From when to when work may be done there, minutes after midnight; at any hour where there is none. */
      readonly opens: number | null;
      readonly closes: number | null;
      readonly version: number;
    };
    /** @description A customer with all that belongs to them; the newest orders first. */
    readonly CustomerDetail: {
      readonly id: number;
      readonly name: string;
      readonly phone: string;
      readonly email: string;
      readonly address: string;
      readonly miles: number;
      /** @description Which way it lies from the shop, degrees from north over east. */
      readonly bearing: number | null;
      /** @description From when to when work may be done there, minutes after midnight; at any hour where there is none. */
      readonly opens: number | null;
      readonly closes: number | null;
      readonly version: number;
      readonly notes: string;
      readonly sites: readonly components['schemas']['Site'][];
      readonly orders: readonly {
        readonly id: number;
        readonly title: string;
        readonly station: components['schemas']['OrderPlace'];
        readonly quantity: number;
        readonly wantedBy: string;
        readonly site: string | null;
      }[];
    };
    /** @description One roll, and what is cut from it. */
    readonly CutRoll: import('@rubbet/core/cut').CutRoll;
    /** @description A day as `YYYY-MM-DD`. */
    readonly Day: import('@rubbet/core/days').Day;
    /** @description One deed of the book. `detail`: each field that changed with `from` and `to`, or what the deed says of itself. */
    readonly DeedLine: {
      readonly id: number;
      readonly at: string;
      readonly actor: string;
      readonly action: string;
      readonly entity: string;
      readonly entityId: string;
      readonly detail: {
        readonly [key: string]: unknown;
      };
    };
    /** @description A delivery that is set and not handed over yet. */
    readonly Delivery: {
      readonly id: number;
      readonly day: string;
      readonly arrives: string;
      readonly trailerId: string;
      readonly title: string;
      readonly quantity: number;
      readonly deliveredAt: string | null;
      readonly customer: string;
      readonly address: string;
      readonly phone: string;
      readonly miles: number;
      readonly summary: components['schemas']['SeenSummary'] | null;
      /** @description The order from whose site it goes on, on one trip. */
      readonly after: number | null;
    };
    /** @description Fasteners that a joint takes: an item of stock, its length in inches, and how many. */
    readonly Driven: import('@rubbet/core/unit').Driven;
    /** @description What was earned in a month: orders handed over in it, and their accepted prices taken apart. Cents. */
    readonly EarningsMonth: {
      /** @description `2026-05`. */
      readonly month: string;
      readonly orders: number;
      readonly net: number;
      readonly tax: number;
      readonly total: number;
      readonly cost: number;
      readonly margin: number;
    };
    /** @description One end of a stick: `angle` in degrees away from square, across the wide face (mitre) or the narrow one (bevel). */
    readonly EndCut: import('@rubbet/core/unit').EndCut;
    /**
     * @description What becomes of a piece: it stays as it is; another that is cut already fits in its place; it is cut from one that is cut and too long; it is cut anew; or, of what is no longer wanted, it is scrap (cut) or is simply not cut.
     * @enum {string}
     */
    readonly Fate: import('@rubbet/core/order').Fate;
    /** @description A calendar that somebody subscribed to: a crew's, a person's, a trailer's or all. */
    readonly Feed: {
      readonly id: number;
      /** @enum {string} */
      readonly kind: 'crew' | 'person' | 'trailer' | 'shop';
      readonly name: string;
      /** @description Where it is read, without a sign-in, by whoever has it. */
      readonly path: string;
      readonly createdAt: string;
    };
    /** @description Something judged wrong or improvable, with the mend that one click makes. */
    readonly Finding: import('@rubbet/core/check').Finding;
    /**
     * @description How a part comes to its length. What is sawn in place is the rest of a longer piece: it has no cut of its own.
     * @enum {string}
     */
    readonly Fit: import('@rubbet/core/unit').Fit;
    /** @description Things other than driven fasteners that a joint takes: hinges, ties, straps, bolts. */
    readonly Fitted: import('@rubbet/core/unit').Fitted;
    /** @description A fitting put at a place on a wall by hand: rough opening sizes in inches, `left` from the wall's left end seen from outside, `bottom` from its foot. One with the id of a fitting of the parameters (door, pop, nest, window) takes its place. */
    readonly Fitting: import('@rubbet/core/unit').Fitting;
    /**
     * @description How a fitting of a kind is made.
     * @enum {string}
     */
    readonly FittingStyle: import('@rubbet/core/unit').FittingStyle;
    /** @description What a load takes of a trailer on one trip: inches of its bed, and pounds. */
    readonly FlatLoad: import('@rubbet/core/haul').FlatLoad;
    /** @description What the business delivers with. */
    readonly FleetAnswer: {
      readonly trailers: readonly components['schemas']['TrailerRecord'][];
      readonly vehicles: readonly components['schemas']['VehicleRecord'][];
    };
    /** @description Which birds, how many now and in two years, how they live, and who moves the unit. */
    readonly Flock: import('@rubbet/core/flock').Flock;
    /** @description Space rules a business may change. All defaults common practice, no source. */
    readonly FlockRules: import('@rubbet/core/flock').FlockRules;
    /**
     * @description What a unit stands on.
     * @enum {string}
     */
    readonly FoundationKind: import('@rubbet/core/site').FoundationKind;
    /** @description Something that a foundation takes and that we bring, its money in cents and its weight in pounds together. */
    readonly FoundationLine: import('@rubbet/core/site').FoundationLine;
    /** @description What carries a unit, what it is made of and what it takes. */
    readonly FoundationPlan: import('@rubbet/core/site').FoundationPlan;
    /** @description Something the framing could not do as asked. */
    readonly FrameNote: import('@rubbet/core/unit').FrameNote;
    /** @description Something to measure before going on. */
    readonly Gate: import('@rubbet/core/steps').Gate;
    /** @description That the server and its database answer. */
    readonly Health: {
      readonly ok: boolean;
    };
    /** @description What a one-time link is for. */
    readonly InviteAnswer: {
      readonly name: string;
      /** @description The login that is kept; null where the person chooses one. */
      readonly login: string | null;
    };
    /** @description A one-time link, shown once. */
    readonly InviteMade: {
      readonly token: string;
      readonly expiresAt: string;
    };
    /** @description What a business has otherwise than the trade's usual list: its wood, the lengths that it carries, what it pays. Inches, cents. */
    readonly ItemChange: import('@rubbet/core/stock').ItemChange;
    /** @description Changes by item key. */
    readonly ItemChanges: import('@rubbet/core/stock').ItemChanges;
    /**
     * @description What a piece is cut from. Sizes in inches, weights in pounds, prices in whole cents.
     * @enum {string}
     */
    readonly ItemKind: import('@rubbet/core/stock').ItemKind;
    /** @description An item as the business has it. */
    readonly ItemLine: {
      readonly item: string;
      readonly name: string;
      readonly kind: components['schemas']['ItemKind'];
      readonly sizes: readonly components['schemas']['ItemSize'][];
      readonly pack: number;
      readonly gravity: number | null;
      readonly supplierId: string | null;
      readonly leadDays: number | null;
      readonly least: number;
      readonly onRack: number;
      readonly version: number;
    };
    /** @description A size that an item is sold in: a length in inches, a roll as `WIDTHxLENGTH`, `bundle`, or empty where there is one. Cents. */
    readonly ItemSize: import('@rubbet/core/stock').ItemSize;
    /** @description Work that takes a while, as whoever asked for it sees it. */
    readonly Job: {
      readonly id: number;
      /** @enum {string} */
      readonly kind: 'export' | 'papers' | 'batch';
      /** @enum {string} */
      readonly state: 'waiting' | 'running' | 'done' | 'failed' | 'stopped';
      /** @description 0 to 1. */
      readonly progress: number;
      readonly note: string;
      /** @description Whether there is a file to fetch. */
      readonly file: string | null;
      readonly createdAt: string;
    };
    /** @description What ties parts to each other. `parts` in the order in which fasteners pass through them; one part alone is tied to what carries the unit or to what hangs on it. Made at the step in which its last part goes on. */
    readonly Joint: import('@rubbet/core/unit').Joint;
    /**
     * @description How two parts hold together.
     * @enum {string}
     */
    readonly JointKind: import('@rubbet/core/unit').JointKind;
    /** @description Minutes of labour by kind of work. Defaults common practice, no source; rates learn from logged times later. */
    readonly LabourRates: import('@rubbet/core/steps').LabourRates;
    /** @description What logged times say of the labour rates, and of whole models. Nothing follows from it before the office takes it. */
    readonly LearnedAnswer: {
      readonly rates: readonly components['schemas']['LearnedRate'][];
      readonly models: readonly components['schemas']['ModelTime'][];
    };
    /** @description What logged times say of a rate. */
    readonly LearnedRate: import('@rubbet/core/steps').LearnedRate;
    /** @description An entry of the rack's ledger: nothing of it is ever changed. */
    readonly LedgerEntry: {
      readonly id: number;
      readonly stockId: number;
      readonly item: string;
      readonly length: number | null;
      readonly mark: string;
      /** @enum {string} */
      readonly kind: 'received' | 'cut' | 'used' | 'returned' | 'spoiled' | 'counted' | 'corrected';
      readonly change: number;
      readonly why: string;
      readonly by: string;
      readonly at: string;
      readonly batchId: number | null;
      readonly purchaseId: number | null;
    };
    /**
     * @description How lengths are shown: inches only, feet and inches, or millimetres.
     * @enum {string}
     */
    readonly LengthStyle: import('@rubbet/core/measure').LengthStyle;
    /** @description How an order goes on a trailer. */
    readonly Load: import('@rubbet/core/haul').Load;
    /** @description An order's load on one trailer. */
    readonly LoadOn: {
      readonly trailer: components['schemas']['Trailer'];
      readonly load: components['schemas']['Load'];
      /** @description What could pull it, and what keeps each from it. */
      readonly vehicles: readonly {
        readonly id: string;
        readonly name: string;
        readonly problems: readonly string[];
      }[];
    };
    /** @description Minutes planned and logged for the steps that were timed of what was done in a week. */
    readonly LoggedWeek: {
      readonly monday: string;
      readonly planned: number;
      readonly logged: number;
    };
    /** @description An accepted order whose costs at today's prices are not those that it was accepted at. Cents. */
    readonly MarginLine: {
      readonly orderId: number;
      readonly title: string;
      readonly accepted: number;
      readonly costThen: number;
      readonly costNow: number;
      /** @description Margins as shares of the price. */
      readonly marginThen: number;
      readonly marginNow: number;
    };
    /** @description A mesh plan: strips, and the rolls they come from. */
    readonly MeshPlan: import('@rubbet/core/cut').MeshPlan;
    /** @description Strips of one face: how many of which roll, lapped. */
    readonly MeshStrips: import('@rubbet/core/cut').MeshStrips;
    /**
     * @description How a unit is made and reaches its place.
     * @enum {string}
     */
    readonly Method: import('@rubbet/core/steps').Method;
    /** @description What one method would come to. Minutes, days, cents. */
    readonly MethodLine: {
      readonly method: components['schemas']['Method'];
      readonly possible: boolean;
      readonly reasons: readonly string[];
      readonly shop: number;
      readonly site: number;
      readonly customer: number;
      readonly shopDays: number;
      readonly siteDays: number;
      readonly trips: number;
      readonly nights: number;
      readonly net: number;
    };
    /** @description How the business works away from its shop. Defaults common practice, no source. */
    readonly MethodRules: import('@rubbet/core/order').MethodRules;
    /** @description A standard model with its newest revision; `ranges` is the least and most of what a seller may change. */
    readonly Model: {
      readonly id: number;
      readonly name: string;
      readonly family: string;
      readonly purpose: string;
      readonly version: number;
      readonly revision: number;
      readonly note: string;
      readonly ranges: components['schemas']['SellerRanges'];
      readonly spec: components['schemas']['Spec'];
      readonly summary: components['schemas']['SeenSummary'];
    };
    /** @description A model with all its revisions. */
    readonly ModelDetail: {
      readonly id: number;
      readonly name: string;
      readonly family: string;
      readonly purpose: string;
      readonly version: number;
      readonly revision: number;
      readonly note: string;
      readonly ranges: components['schemas']['SellerRanges'];
      readonly spec: components['schemas']['Spec'];
      readonly summary: components['schemas']['SeenSummary'];
      readonly revisions: readonly components['schemas']['ModelRevision'][];
    };
    /** @description A standard model as a file: its name, what it is for, its newest spec and the notes of its revisions. */
    readonly ModelFile: {
      /** @constant */
      readonly format: 'rubbet-model';
      readonly version: number;
      readonly name: string;
      readonly purpose: string;
      readonly spec: components['schemas']['Spec'];
      readonly ranges: components['schemas']['SellerRanges'];
      readonly notes: readonly string[];
    };
    /** @description One revision of a model. */
    readonly ModelRevision: {
      readonly number: number;
      readonly note: string;
      readonly madeBy: string;
      readonly madeAt: string;
      readonly spec: components['schemas']['Spec'];
      readonly summary: components['schemas']['SeenSummary'];
    };
    /** @description Minutes of the steps of a model that were timed: as planned and as logged, over all its orders. */
    readonly ModelTime: {
      readonly name: string;
      readonly orders: number;
      readonly planned: number;
      readonly logged: number;
    };
    /** @description A time of the plan: a day, and minutes after midnight. */
    readonly Moment: {
      readonly day: string;
      readonly minute: number;
    };
    /** @description The board after a move: what moved, and where all of it stood before. */
    readonly MoveAnswer: {
      readonly today: string;
      readonly now: number;
      readonly opens: number;
      readonly closes: number;
      readonly days: readonly components['schemas']['BoardDay'][];
      readonly places: readonly components['schemas']['BoardPlace'][];
      /** @description Racks that panels dry on. */
      readonly racks: number;
      /** @description Places, machines and trailers that are not to be had: `ref` is a row of the board, or a trailer. */
      readonly out: readonly {
        /** @enum {string} */
        readonly kind: 'row' | 'trailer';
        readonly ref: string;
        readonly day: string;
        readonly from: number;
        readonly to: number;
        readonly note: string;
      }[];
      readonly crews: readonly {
        readonly id: string;
        readonly name: string;
      }[];
      readonly people: readonly components['schemas']['BoardPerson'][];
      readonly trailers: readonly {
        readonly id: string;
        readonly name: string;
      }[];
      readonly orders: readonly components['schemas']['BoardOrder'][];
      readonly operations: readonly components['schemas']['BoardOperation'][];
      readonly faults: readonly components['schemas']['BoardFault'][];
      readonly moved: readonly string[];
      readonly before: readonly components['schemas']['Placed'][];
    };
    /** @enum {string} */
    readonly Mover: import('@rubbet/core/flock').Mover;
    /** @description Force to lift one end and to pull the unit along, pounds. */
    readonly MovingForce: import('@rubbet/core/structure').MovingForce;
    /** @description What hands and wheels can do. Defaults common practice, no source; a business may change them. */
    readonly MovingRules: import('@rubbet/core/structure').MovingRules;
    /** @description A size of something that is to be bought, and what it is for. Inches, cents. */
    readonly NeedLine: {
      readonly item: string;
      readonly name: string;
      readonly length: number | null;
      readonly width: number | null;
      readonly wanted: number;
      readonly onRack: number;
      readonly onOrder: number;
      readonly buy: number;
      readonly pack: number;
      readonly each: number;
      readonly cost: number;
      readonly supplierId: string | null;
      /** @description The day that it is needed, and the last day to order it by; null where nothing but the least that is kept asks for it. */
      readonly by: string | null;
      readonly orderBy: string | null;
      readonly orders: readonly number[];
    };
    /** @description What all accepted orders need that is neither on the rack nor on its way. */
    readonly NeedsAnswer: {
      readonly lines: readonly components['schemas']['NeedLine'][];
      readonly cost: number;
      readonly orders: number;
    };
    /** @description A framed opening, in its assembly's face coordinates. */
    readonly Opening: import('@rubbet/core/unit').Opening;
    /**
     * @description What an opening is for.
     * @enum {string}
     */
    readonly OpeningKind: import('@rubbet/core/unit').OpeningKind;
    /** @description One order whole, as its page shows it. */
    readonly Order: {
      readonly id: number;
      readonly version: number;
      readonly title: string;
      readonly quantity: number;
      readonly wantedBy: string;
      readonly station: components['schemas']['OrderPlace'];
      readonly notes: string;
      /** @description How it is made and reaches its place; null where what is proposed is taken. */
      readonly method: components['schemas']['Method'] | null;
      /** @description What the price is settled by beyond what it costs; only the office sees it. */
      readonly terms: components['schemas']['QuoteTerms'];
      /** @description When the quote was last sent. */
      readonly quotedAt: string | null;
      /** @description The customer's link; null where it was withdrawn, or where it is not the reader's to see. */
      readonly token: string | null;
      /** @description Address and way are the site's where there is one. */
      readonly customer: components['schemas']['Customer'];
      readonly site: {
        readonly id: number;
        readonly name: string;
        readonly address: string;
        readonly miles: number;
        readonly bearing: number | null;
        readonly opens: number | null;
        readonly closes: number | null;
        readonly notes: string;
      } | null;
      readonly flock: components['schemas']['Flock'] | null;
      readonly model: {
        readonly id: number;
        readonly name: string;
        readonly spec: components['schemas']['Spec'];
      } | null;
      readonly revision: {
        readonly id: number;
        readonly number: number;
        readonly spec: components['schemas']['Spec'];
        readonly note: string;
        readonly madeBy: string;
        readonly summary: components['schemas']['SeenSummary'];
      } | null;
      readonly revisions: readonly components['schemas']['RevisionLine'][];
      readonly accepted: {
        readonly revisionId: number;
        /** @description Null where prices are not the reader's to see. */
        readonly price: components['schemas']['Price'] | null;
        readonly at: string;
      } | null;
      readonly survey: {
        readonly version: number;
        readonly survey: components['schemas']['Survey'];
        readonly pads: components['schemas']['PadPlan'];
      } | null;
      /** @description `touched`: something on it was cut, measured, spoiled, ticked or timed. */
      readonly workOrder: {
        readonly doneAt: string | null;
        readonly touched: boolean;
        readonly parts: number;
        readonly partsCut: number;
        readonly steps: number;
        readonly stepsDone: number;
        readonly minutes: number;
      } | null;
      readonly scheduledAt: string | null;
      readonly delivery: {
        readonly version: number;
        readonly day: string;
        readonly arrives: string;
        readonly trailerId: string;
        readonly notes: string;
      } | null;
      readonly deliveredAt: string | null;
      readonly handedOverAt: string | null;
      readonly held: components['schemas']['Reasoned'] | null;
      readonly cancelled: components['schemas']['Reasoned'] | null;
      readonly visited: readonly string[];
    };
    /** @description A page of the order list; `stations` counts what the search finds at each place. */
    readonly OrderList: {
      readonly total: number;
      readonly rows: readonly components['schemas']['OrderRow'][];
      readonly stations: {
        readonly [key: string]: number;
      };
    };
    /** @description Where an order is listed: at its station, or apart from them. */
    readonly OrderPlace: import('@rubbet/core/order').OrderPlace;
    /** @description A line of the order list. */
    readonly OrderRow: {
      readonly id: number;
      readonly title: string;
      readonly customer: string;
      readonly station: components['schemas']['OrderPlace'];
      readonly quantity: number;
      readonly wantedBy: string;
      readonly family: string | null;
      readonly summary: components['schemas']['SeenSummary'] | null;
      readonly version: number;
    };
    /** @description Figures of an order that lists and strips show. */
    readonly OrderSummary: import('@rubbet/core/order').OrderSummary;
    /** @description A place, machine or trailer that is not to be had on a day: all of it, or from when to when, minutes after midnight. */
    readonly Outage: {
      readonly id: number;
      /** @enum {string} */
      readonly kind: 'row' | 'trailer';
      /** @description Row of the board, or trailer. */
      readonly ref: string;
      readonly name: string;
      readonly day: string;
      readonly from: number | null;
      readonly to: number | null;
      readonly note: string;
    };
    /** @description What one pad is stacked of: `height` above its ground, `stack` of masonry counted from the bottom of the embedment. */
    readonly Pad: import('@rubbet/core/site').Pad;
    /** @description Pads of a site with its fall. */
    readonly PadPlan: import('@rubbet/core/site').PadPlan;
    /** @description One level reading at a pad: how much of the rod stands above the line of sight's foot, inches down from the level. */
    readonly PadReading: import('@rubbet/core/site').PadReading;
    /** @description Heights of what pads are stacked from, inches. Defaults common practice, no source. */
    readonly PadRules: import('@rubbet/core/site').PadRules;
    readonly ParamValue: import('@rubbet/core/unit').ParamValue;
    readonly Params: import('@rubbet/core/model').Params;
    /** @description A placed part. Lengths in inches, angles in degrees. Parts that are equal share a mark. */
    readonly Part: import('@rubbet/core/unit').Part;
    /** @description Somebody of the business; without a login they work and do not sign in. */
    readonly Person: {
      readonly id: number;
      readonly name: string;
      readonly login: string | null;
      readonly phone: string;
      readonly roles: readonly components['schemas']['StaffRole'][];
      readonly skills: readonly components['schemas']['Station'][];
      /** @description Working minutes of each day of the week, Sunday first; null: as the business works. */
      readonly hours: readonly number[] | null;
      readonly active: boolean;
      /** @description Whether a one-time link waits to be used. */
      readonly invited: boolean;
      readonly crews: readonly string[];
      readonly version: number;
    };
    /**
     * @description Where work is done, whichever station of the shop does it.
     * @enum {string}
     */
    readonly Place: 'shop' | 'load' | 'road' | 'site';
    /** @description Where a block stood before a move, and the version that it has after it: enough to put it back if nobody touched it since. */
    readonly Placed: {
      readonly task: string;
      readonly version: number;
      readonly place: string | null;
      readonly pinned: boolean;
      readonly visits: readonly components['schemas']['Visit'][];
    };
    /** @description Where a flat shape lies in space: local (p, q, r) is origin + p·u + q·v + r·(u × v). u and v are perpendicular units. */
    readonly Placement: import('@rubbet/core/geometry').Placement;
    /** @description A price taken apart, whole cents. */
    readonly Price: import('@rubbet/core/price').Price;
    /** @description What was paid for a size, and since when. */
    readonly PriceEntry: {
      readonly size: string;
      readonly cost: number;
      readonly supplierId: string | null;
      readonly by: string;
      readonly at: string;
    };
    /** @description What a price list would change, or has changed, line by line. */
    readonly PriceListAnswer: {
      readonly faults: readonly components['schemas']['RowFault'][];
      readonly lines: readonly {
        readonly item: string;
        readonly name: string;
        readonly size: string;
        readonly before: number | null;
        readonly cost: number;
        readonly carried: boolean;
      }[];
      readonly applied: boolean;
    };
    /** @description What the business charges by; money in cents, shares as fractions. Defaults invented; each business sets its own. */
    readonly PriceRules: import('@rubbet/core/price').PriceRules;
    /** @description A price taken apart, what to buy, and what is judged wrong. */
    readonly PriceSheet: {
      readonly price: components['schemas']['Price'];
      readonly lines: readonly components['schemas']['TakeoffLine'][];
      readonly summary: components['schemas']['OrderSummary'];
      readonly findings: readonly components['schemas']['Finding'][];
      /** @description The method that the price is for, the one that is proposed and why, and what each would come to. */
      readonly method: components['schemas']['Method'];
      readonly proposed: components['schemas']['Method'];
      readonly why: string;
      readonly methods: readonly components['schemas']['MethodLine'][];
      readonly foundation: components['schemas']['FoundationPlan'];
    };
    /** @description The days that an order can be promised for. */
    readonly PromiseAnswer: {
      readonly planned: string | null;
      readonly half: string | null;
      readonly likely: string | null;
      readonly sure: string | null;
      readonly samples: number;
      /** @description Steps whose logged times the spread comes from; 0 where the usual spread was taken. */
      readonly logged: number;
      readonly inTheWay: readonly {
        readonly what: string;
        readonly name: string;
        readonly days: number;
        readonly cents: number | null;
        /** @description Days on which people would stay longer. */
        readonly on: readonly string[];
      }[];
    };
    /** @description A plan that is proposed. Costs are cents. */
    readonly ProposalAnswer: {
      readonly kind: components['schemas']['ProposalKind'];
      readonly cost: {
        readonly late: number;
        readonly bays: number;
        readonly upset: number;
        readonly overtime: number;
        readonly mixed: number;
        readonly driving: number;
        readonly nights: number;
        readonly total: number;
      };
      readonly bound: number;
      readonly lateDays: number;
      readonly lateOrders: number;
      readonly overtimeMinutes: number;
      readonly shifts: readonly components['schemas']['ShiftAnswer'][];
      readonly orders: readonly {
        readonly orderId: number;
        readonly title: string;
        readonly before: {
          readonly day: components['schemas']['Day'];
          readonly late: number;
        } | null;
        readonly after: {
          readonly day: components['schemas']['Day'];
          readonly late: number;
        } | null;
      }[];
      readonly faults: readonly components['schemas']['BoardFault'][];
    };
    /**
     * @description What a plan is made for.
     * @enum {string}
     */
    readonly ProposalKind: import('@rubbet/core/crews').ProposalKind;
    /** @description A point in a drawing plane, inches. */
    readonly Pt: import('@rubbet/core/geometry').Pt;
    /** @description A purchase order whole. */
    readonly Purchase: {
      readonly id: number;
      readonly supplierId: string;
      readonly supplier: string;
      readonly state: components['schemas']['PurchaseState'];
      readonly due: string | null;
      readonly orderedAt: string | null;
      readonly lines: number;
      readonly cost: number;
      readonly version: number;
      readonly note: string;
      readonly madeBy: string;
      readonly list: readonly components['schemas']['PurchaseLine'][];
      readonly sent: readonly {
        readonly to: string;
        readonly subject: string;
        readonly body: string;
        readonly at: string;
      }[];
    };
    readonly PurchaseLine: {
      readonly id: number;
      readonly item: string;
      readonly name: string;
      readonly length: number | null;
      readonly width: number | null;
      readonly quantity: number;
      readonly received: number;
      readonly each: number;
      readonly cost: number;
    };
    /** @enum {string} */
    readonly PurchaseState: 'draft' | 'ordered' | 'in part' | 'received' | 'cancelled';
    /** @description A line of the list of purchase orders. */
    readonly PurchaseSummary: {
      readonly id: number;
      readonly supplierId: string;
      readonly supplier: string;
      readonly state: components['schemas']['PurchaseState'];
      readonly due: string | null;
      readonly orderedAt: string | null;
      readonly lines: number;
      readonly cost: number;
      readonly version: number;
    };
    /** @description Something that the customer may have with it. Cents, before tax. */
    readonly QuoteOption: import('@rubbet/core/price').QuoteOption;
    /** @description What an order's price is settled by beyond what it costs: always with a reason and whoever said so. */
    readonly QuoteTerms: import('@rubbet/core/price').QuoteTerms;
    /** @description A line of the rack: what lies there, how many, and how many of them batches have spoken for. Lengths in inches. */
    readonly RackLine: {
      readonly id: number;
      readonly item: string;
      readonly length: number | null;
      readonly width: number | null;
      readonly place: string;
      readonly mark: string;
      readonly quantity: number;
      readonly reserved: number;
      /** @description Since when it lies there. */
      readonly since: string;
    };
    /**
     * @description Rates that follow from what a step is about, in the order in which they are told.
     * @enum {string}
     */
    readonly RateKey: import('@rubbet/core/steps').RateKey;
    /** @description Something that was put on an order with a reason. */
    readonly Reasoned: {
      readonly at: string;
      readonly why: string;
    };
    /** @description Plans that were proposed for what a morning brought. */
    readonly ReplanAnswer: {
      readonly id: number;
      readonly cause: string;
      /** @description How the plan stands if nothing is done about it. */
      readonly asItIs: {
        readonly lateDays: number;
        readonly lateOrders: number;
        readonly faults: readonly components['schemas']['BoardFault'][];
      };
      readonly plans: readonly components['schemas']['ProposalAnswer'][];
    };
    /** @description A revision of an order's spec, without the spec. */
    readonly RevisionLine: {
      readonly id: number;
      readonly number: number;
      readonly note: string;
      readonly madeBy: string;
      readonly createdAt: string;
    };
    /** @description Deliveries to come, and the trailers. */
    readonly RoadAnswer: {
      readonly deliveries: readonly components['schemas']['Delivery'][];
      readonly trailers: readonly components['schemas']['Trailer'][];
    };
    /**
     * @description What a part does; decides its mark's letter, its fastening and its tone in drawings.
     * @enum {string}
     */
    readonly Role: import('@rubbet/core/unit').Role;
    /** @description A strip where it is cut from its roll: `x` along the roll, `y` across it, inches. */
    readonly RollStrip: import('@rubbet/core/cut').RollStrip;
    /** @description What keeps the plates of a gable roof from being pushed apart. Inches. */
    readonly RoofThrust: import('@rubbet/core/unit').RoofThrust;
    /** @description What is wrong with a row of a file, counted as a spreadsheet counts it: the heading is row 1. */
    readonly RowFault: import('@rubbet/core/formats').RowFault;
    /** @description How a business saws. Inches, cents. */
    readonly SawRules: import('@rubbet/core/saw').SawRules;
    /** @description A summary as somebody sees it: without money where that is not theirs to see. */
    readonly SeenSummary: {
      readonly price?: number;
      readonly marginShare?: number;
      readonly material?: number;
      readonly birds: number;
      readonly firstLimit?: string;
      readonly firstAt?: number;
      readonly weight: number;
      readonly tipSpeed: number;
      readonly moving?: components['schemas']['MovingForce'];
      readonly sticks: number;
      readonly sheets: number;
      readonly waste: number;
      /** @description Labour in the shop for one unit, on average where there are several. */
      readonly benchMinutes: number;
      /** @description Labour on site for one unit; summaries kept from before have none. */
      readonly siteMinutes?: number;
      readonly coats: number;
      /** @description How it is made, trips and days on site; summaries kept from before have none. */
      readonly method?: components['schemas']['Method'];
      readonly trips?: number;
      readonly siteDays?: number;
      /** @description What it takes of a trailer where it lies flat and one trip brings it: inches of bed, pounds. */
      readonly load?: components['schemas']['FlatLoad'];
      /** @description Floor that it takes in a bay: the unit where it is raised there, else its largest panel; nothing where it is framed on site. */
      readonly room?: readonly number[];
      readonly size: readonly number[];
      readonly stops: number;
      readonly warnings: number;
    };
    /** @description Ranges of length and count parameters that a seller may choose from without asking. */
    readonly SellerRanges: import('@rubbet/core/formats').SellerRanges;
    /** @description A place where a person is signed in. */
    readonly SessionLine: {
      readonly id: string;
      readonly agent: string;
      readonly address: string;
      readonly since: string;
      readonly seen: string;
      /** @description Whether it is the one that asks. */
      readonly mine: boolean;
    };
    /** @description Settings: what the business changed, what follows from it, and the usual values. */
    readonly SettingsAnswer: {
      readonly version: number;
      readonly value: {
        readonly [key: string]: unknown;
      };
      readonly rules: components['schemas']['BusinessRules'];
      readonly defaults: components['schemas']['BusinessRules'];
    };
    /** @description Whether a first page waits for the code of the terminal. */
    readonly SetupAnswer: {
      readonly open: boolean;
    };
    /** @enum {string} */
    readonly Severity: import('@rubbet/core/check').Severity;
    /** @description The flat outline of a part, with any holes, pushed `depth` inches along u × v of its placement. */
    readonly Shape: import('@rubbet/core/geometry').Shape;
    /** @description One cut, in its turn: from edge to edge of what lies there then. `along` is the way that the saw goes: the sheet's length, or its width. */
    readonly SheetCut: import('@rubbet/core/cut').SheetCut;
    /** @description One sheet of the plan. */
    readonly SheetLayout: import('@rubbet/core/cut').SheetLayout;
    /** @description A piece laid on a sheet: low corner and extents, x along the sheet's length. */
    readonly SheetPlace: import('@rubbet/core/cut').SheetPlace;
    /** @description A sheet plan; every layout can be cut by straight cuts from edge to edge. */
    readonly SheetPlan: import('@rubbet/core/cut').SheetPlan;
    /** @description A block as a proposal moves it. */
    readonly ShiftAnswer: {
      readonly task: string;
      readonly orderId: number;
      readonly name: string;
      readonly title: string;
      readonly before: {
        readonly day: string;
        readonly minute: number;
        readonly at: string;
      } | null;
      readonly after: {
        readonly day: string;
        readonly minute: number;
        readonly at: string;
      };
    };
    /**
     * @description A side of a unit, seen from outside.
     * @enum {string}
     */
    readonly Side: import('@rubbet/core/unit').Side;
    /** @description A place of a customer's that is not where they live: its own address, its own way there. */
    readonly Site: {
      readonly id: number;
      readonly name: string;
      readonly address: string;
      readonly miles: number;
      /** @description Which way it lies from the shop, degrees from north over east. */
      readonly bearing: number | null;
      /** @description From when to when work may be done there, minutes after midnight; at any hour where there is none. */
      readonly opens: number | null;
      readonly closes: number | null;
      readonly notes: string;
      readonly version: number;
    };
    /** @description A row of equal bending members, for span checks. */
    readonly SpanFact: import('@rubbet/core/unit').SpanFact;
    /** @description A complete description of one unit. */
    readonly Spec: {
      readonly family: string;
      readonly schema: number;
      readonly params: components['schemas']['Params'];
      /** @description Fittings put by hand; none where left out. */
      readonly fittings?: readonly components['schemas']['Fitting'][];
      /** @description Left and right exchanged. */
      readonly mirrored?: boolean;
      /** @description Parameters that are settled: an editor leaves them alone until they are unlocked. The framing does not look at them. */
      readonly locked?: readonly string[];
    };
    /**
     * @description Who may do something to an order.
     * @enum {string}
     */
    readonly StaffRole: import('@rubbet/core/order').StaffRole;
    /**
     * @description Where a step is done.
     * @enum {string}
     */
    readonly Station: import('@rubbet/core/steps').Station;
    /** @enum {string} */
    readonly StationKey: import('@rubbet/core/order').StationKey;
    /** @description One step at a station: what to do, with which parts, what to watch for, and what must be done before. */
    readonly Step: import('@rubbet/core/steps').Step;
    /** @description One stick and its cuts in order; `left` is what remains after the last kerf. */
    readonly StickCut: import('@rubbet/core/cut').StickCut;
    /** @description A stick plan: `bound` is the least any plan can cost, `proved` that this one costs just that. */
    readonly StickPlan: import('@rubbet/core/cut').StickPlan;
    /** @description A length that can be bought, in inches, and its price in cents. */
    readonly StockLength: import('@rubbet/core/stock').StockLength;
    /** @description A stretch of work on one day, minutes after midnight. */
    readonly Stretch: {
      readonly day: string;
      readonly from: number;
      readonly to: number;
    };
    /** @description Who wood and hardware are bought from. */
    readonly Supplier: {
      readonly id: string;
      readonly name: string;
      readonly phone: string;
      readonly email: string;
      readonly leadDays: number;
      readonly note: string;
      readonly active: boolean;
      readonly version: number;
    };
    /** @description One place at which a unit is carried: inches, heights over the level that the unit is drawn from. */
    readonly Support: import('@rubbet/core/site').Support;
    /** @description A survey of one site. `lift` is how far the highest pad shall stand above its ground, `gate` the narrowest way in where it was measured; inches. */
    readonly Survey: import('@rubbet/core/site').Survey;
    /** @description One line of what to buy. */
    readonly TakeoffLine: import('@rubbet/core/takeoff').TakeoffLine;
    /** @description One pull of the tape along a plate or rail. */
    readonly Tape: import('@rubbet/core/unit').Tape;
    /** @description A stud or opening mark on a tape pull: `at` inches from the hooked end, the piece lies to that side of the mark. */
    readonly TapeMark: import('@rubbet/core/unit').TapeMark;
    /** @description An order that has something to cut: how many parts are open, how many of them a batch has already. */
    readonly ToCut: {
      readonly orderId: number;
      readonly title: string;
      readonly customer: string;
      readonly wantedBy: string;
      readonly open: number;
      /** @description Units that are followed one by one; 1 where it is one. */
      readonly units: number;
      readonly inBatches: number;
      /** @description The day that the crew plan has its cutting on. */
      readonly day: string | null;
    };
    /** @description What the day asks for. */
    readonly TodayAnswer: {
      readonly today: string;
      readonly workday: string;
      readonly work: readonly components['schemas']['TodayWork'][];
      readonly faults: readonly components['schemas']['BoardFault'][];
      readonly late: readonly components['schemas']['BoardOrder'][];
      /** @description Who is away that day. */
      readonly away: readonly {
        readonly name: string;
        readonly note: string;
      }[];
      readonly deliveries: readonly components['schemas']['Delivery'][];
      /** @description What is to be ordered in the next days, for which order and by when; the most urgent first. A day behind today is over. */
      readonly toOrder: readonly {
        readonly orderId: number;
        readonly title: string;
        readonly items: readonly string[];
        readonly by: string;
      }[];
      readonly waiting: readonly {
        readonly id: number;
        readonly title: string;
        readonly station: components['schemas']['StationKey'];
        readonly wantedBy: string;
        readonly customer: string;
      }[];
      /** @description What the bench has told and nobody has answered, the oldest first; orders whose change waits for a decision. */
      readonly troubles: readonly {
        readonly orderId: number;
        readonly title: string;
        readonly what: string;
        readonly by: string;
      }[];
      readonly log: readonly {
        readonly at: string;
        readonly actor: string;
        readonly action: string;
        readonly entity: string;
        readonly entityId: string;
      }[];
    };
    /** @description A stretch of today's work: what it is, where, by whom, minutes after midnight. */
    readonly TodayWork: {
      readonly task: string;
      readonly orderId: number;
      readonly title: string;
      readonly name: string;
      readonly station: components['schemas']['Station'];
      readonly done: boolean;
      readonly from: number;
      readonly to: number;
      readonly place: string;
      readonly people: readonly string[];
    };
    /** @description A trailer: bed in inches, what it may carry in pounds. */
    readonly Trailer: import('@rubbet/core/haul').Trailer;
    readonly TrailerRecord: {
      readonly id: string;
      readonly name: string;
      readonly bedLength: number;
      readonly bedWidth: number;
      readonly bedHeight: number;
      readonly carries: number;
      readonly weight: number;
      readonly tilt: boolean;
      readonly active: boolean;
      readonly version: number;
    };
    /** @description Something that was wrong at the bench; open until somebody says what is to be done. */
    readonly Trouble: {
      readonly id: number;
      readonly stepId: string;
      readonly cause: components['schemas']['TroubleCause'];
      readonly mark: string;
      readonly note: string;
      readonly by: string;
      readonly at: string;
      readonly solvedAt: string | null;
      readonly solvedBy: string | null;
      readonly answer: string;
      readonly version: number;
    };
    /** @enum {string} */
    readonly TroubleCause: import('@rubbet/core/steps').TroubleCause;
    /** @description How a person reads lengths. */
    readonly UnitChoice: {
      readonly style: components['schemas']['LengthStyle'];
      /** @enum {number} */
      readonly denominator: 16 | 32;
    };
    /** @description How somebody reads figures: lengths in one of three ways, everything else to match. */
    readonly Units: import('@rubbet/core/measure').Units;
    /** @description The signed-in person. `units` null: as the business has them. */
    readonly User: {
      readonly id: number;
      readonly name: string;
      readonly login: string;
      readonly roles: readonly components['schemas']['StaffRole'][];
      readonly units: components['schemas']['UnitChoice'] | null;
    };
    /** @description A point or direction in space, inches: x to the right along the front, y from front to back, z up. */
    readonly Vec3: import('@rubbet/core/geometry').Vec3;
    readonly VehicleRecord: {
      readonly id: string;
      readonly name: string;
      readonly tows: number;
      readonly tongue: number;
      readonly active: boolean;
      readonly version: number;
    };
    /**
     * @description What a step does.
     * @enum {string}
     */
    readonly Verb: import('@rubbet/core/steps').Verb;
    /** @description A time at which a block is worked on: by whom, with which trailer, and when what was coated is dry. */
    readonly Visit: {
      readonly start: components['schemas']['Moment'];
      readonly end: components['schemas']['Moment'];
      readonly dry: components['schemas']['Moment'];
      readonly people: readonly string[];
      readonly trailer: string | null;
      /** @description The delivery from whose site it goes on, on one trip; or the work before it, set up alike. */
      readonly after?: string;
      /** @description The rack that it dries on. */
      readonly driesOn?: string;
      /** @description Minutes of its ways, there and back, where those are not the block's own: it shares its trip. */
      readonly ways?: readonly number[];
      /** @description A later visit that was put where it is by hand. */
      readonly pinned?: boolean;
      readonly pieces: readonly components['schemas']['Stretch'][];
    };
    /** @description What a customer sees behind their link. */
    readonly VisitAnswer: {
      readonly order: {
        readonly id: number;
        readonly title: string;
        readonly customer: string;
        readonly address: string;
        readonly wantedBy: string;
        readonly quantity: number;
        readonly spec: components['schemas']['Spec'] | null;
      };
      /** @description Who comes, and how to reach them. */
      readonly business: {
        readonly name: string;
        readonly phone: string;
        readonly email: string;
      };
      readonly units: components['schemas']['Units'];
      readonly delivery: {
        readonly day: string;
        readonly arrives: string;
      } | null;
      readonly deliveredAt: string | null;
      /** @description What it is quoted or accepted at, once a quote was sent or accepted. Cents. */
      readonly quote: {
        readonly lines: readonly {
          readonly what: string;
          readonly cents: number;
        }[];
        readonly total: number;
        readonly deposit: number;
        readonly validUntil: string | null;
        readonly accepted: boolean;
      } | null;
      /** @description Inches and pounds. */
      readonly size: {
        readonly long: number;
        readonly wide: number;
        readonly high: number;
        readonly weight: number;
      } | null;
      /** @description What carries it, and what it rests on: `[minX, minY, maxX, maxY]`. */
      readonly ground: {
        readonly foundation: components['schemas']['FoundationPlan'];
        readonly base: readonly number[];
      } | null;
      readonly items: readonly components['schemas']['VisitItem'][];
      /** @description What happens on the day, and what helps to start. */
      readonly day: readonly string[];
      readonly start: readonly string[];
    };
    /** @description One thing that a customer prepares, with what it means for this order. */
    readonly VisitItem: {
      readonly key: string;
      readonly title: string;
      readonly text: string;
      readonly done: boolean;
    };
    /** @description Wood that an order waits for: in a batch, and not on the rack yet. `due` where it is ordered. */
    readonly WaitLine: {
      readonly item: string;
      readonly length: number;
      readonly width: number | null;
      readonly count: number;
      readonly batchId: number;
      readonly due: string | null;
      readonly purchaseId: number | null;
    };
    /** @description A work order as it stands now. What it was made from is its plan. */
    readonly WorkOrder: {
      readonly order: {
        readonly id: number;
        readonly title: string;
        readonly customer: string;
        readonly quantity: number;
        readonly wantedBy: string;
        readonly flock: components['schemas']['Flock'] | null;
        readonly held: string | null;
      };
      /** @description Names the plan: as long as it is the same, so is the plan. */
      readonly planId: number;
      readonly sticks: components['schemas']['StickPlan'];
      readonly doneAt: string | null;
      readonly parts: readonly components['schemas']['WorkPart'][];
      readonly steps: readonly components['schemas']['WorkStep'][];
      readonly troubles: readonly components['schemas']['Trouble'][];
      readonly photos: readonly components['schemas']['WorkPhoto'][];
    };
    /** @description A part at the bench. Lengths in inches; `measured` as it was found in place. */
    readonly WorkPart: {
      readonly id: number;
      /** @description As the plan has it, with its unit where there are several: `roof/rafter-1@2`. */
      readonly partId: string;
      readonly mark: string;
      readonly item: string;
      readonly length: number;
      /** @enum {string} */
      readonly state: 'open' | 'cut' | 'spoiled';
      readonly measured: number | null;
      readonly version: number;
    };
    /** @description A photo of a step; its picture is under `photos/:id`. */
    readonly WorkPhoto: {
      readonly id: number;
      readonly stepId: string;
      readonly by: string;
      readonly at: string;
    };
    /** @description What a work order was made from and keeps: parts and steps as they were frozen. */
    readonly WorkPlanAnswer: {
      readonly revision: number;
      /** @description Units that are followed one by one. */
      readonly units: number;
      readonly build: components['schemas']['Build'];
      readonly steps: readonly components['schemas']['Step'][];
      /** @description For all units together. */
      readonly sheets: components['schemas']['SheetPlan'];
      readonly mesh: components['schemas']['MeshPlan'];
    };
    /** @description A step at the bench, with the minutes logged for it in all. */
    readonly WorkStep: {
      readonly id: number;
      /** @description As the plan has it, with its unit where it is done unit by unit: `front-wall/frame@2`. */
      readonly stepId: string;
      /** @enum {string} */
      readonly state: 'open' | 'done';
      /** @description The block of the board that it is part of, and the minutes that it was planned to take; null where it was made before. */
      readonly op: string;
      readonly planned: number | null;
      readonly minutes: number | null;
      readonly doneBy: string | null;
      /** @description What was read at its check, inches; outside what that allows it is open, with what was noted. */
      readonly found: readonly number[] | null;
      readonly note: string;
      readonly version: number;
    };
    /** @description Where the wood of an item went in a month: inches of sticks, square inches of sheets. */
    readonly YieldLine: {
      /** @description `2026-05`. */
      readonly month: string;
      readonly item: string;
      readonly name: string;
      /** @enum {string} */
      readonly kind: 'stick' | 'sheet' | 'roll';
      readonly taken: number;
      readonly pieces: number;
      readonly returned: number;
      readonly kerf: number;
      readonly spoiled: number;
      readonly scrap: number;
    };
  };
  responses: never;
  parameters: never;
  requestBodies: never;
  headers: never;
  pathItems: never;
}
