import { useDraggable } from '@dnd-kit/core';
import { chakra } from '@chakra-ui/react';
import { Box } from '@chakra-ui/react';
import type { BoardData } from '../../data/types.ts';
import type { Bar } from './layBoard.ts';
import { holdWords, supplyWords } from './planWords.ts';

/** Height of one lane of a row, and of what is drawn in it. */
export const LANE = 28;
const TALL = 25;
/** Narrower than this, in parts of the axis, a block has no words on it: a number that is cut off is another number. */
const TELLS = 0.05;
/** Narrower than this its edge would be all there is of it. */
const EDGED = 0.02;

const Tile = chakra('button', {
  base: {
    position: 'absolute',
    height: `${TALL}px`,
    border: '1px solid',
    borderColor: 'woodink',
    borderLeftWidth: '4px',
    borderLeftColor: 'woodedge',
    color: 'woodink',
    px: '3px',
    overflow: 'hidden',
    // Its number is whole, whatever of its name has room beside it.
    display: 'flex',
    alignItems: 'center',
    gap: '3px',
    '& > strong': { flexShrink: 0 },
    '& > span': { minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis' },
    textAlign: 'left',
    whiteSpace: 'nowrap',
    lineHeight: 1.2,
    fontSize: '13px',
    touchAction: 'none',
    fontFamily: 'heading',
    fontStretch: '76%',
    cursor: 'grab',
    '&.site, &.road': { color: 'ink' },
    '&[aria-pressed=true]': { outline: '3px solid', outlineColor: 'tape', zIndex: 6 },
    '&[data-late=true]': { borderColor: 'keel', borderWidth: '2px', borderLeftWidth: '4px' },
    '&[data-faulty=true]': { borderLeftColor: 'keel' },
    '&[data-slim=true]': { borderLeftWidth: '1px', px: 0 },
  },
});

const pc = (n: number): string => `${(100 * n).toFixed(4)}%`;

/** What is drawn on the board and is no block: a unit that stands in its bay, a coat that dries, a way. */
export const Backdrop = ({
  bar,
  lanes,
  label,
  words,
}: {
  readonly bar: Bar;
  readonly lanes: number;
  readonly label: string;
  /** What stands on it, where it is wide enough. */
  readonly words?: string;
}) => (
  <Box
    position="absolute"
    className={bar.kind === 'dry' ? 'drying' : bar.kind}
    left={pc(bar.from)}
    width={pc(bar.to - bar.from)}
    top={`${bar.kind === 'stay' ? 2 : bar.lane * LANE + 4}px`}
    height={`${bar.kind === 'stay' ? lanes * LANE + 2 : TALL}px`}
    zIndex={bar.kind === 'stay' ? 1 : 2}
    title={label}
    aria-hidden
    pointerEvents="none"
  >
    {words !== undefined && bar.to - bar.from > TELLS && (
      <Box as="span" className="cond" px="4px" bg="sheet" fontSize="13px">
        {words}
      </Box>
    )}
  </Box>
);

/** One block on the board: draggable, and taken in hand by a press. Its width is how long it takes. */
export const BarTile = ({
  bar,
  rowId,
  marks,
  late,
  faulty,
  held,
  dim,
  canMove,
  onPick,
}: {
  readonly bar: Bar;
  readonly rowId: string;
  /** What it waits for, in a letter or two. */
  readonly marks: string;
  readonly late: boolean;
  readonly faulty: boolean;
  readonly held: boolean;
  readonly dim: boolean;
  readonly canMove: boolean;
  readonly onPick: () => void;
}) => {
  const { op, k } = bar;
  const pinned = k === 0 ? op.pinned : bar.visit.pinned === true;
  const { setNodeRef, listeners, attributes, transform } = useDraggable({
    id: `${rowId}|${bar.key}`,
    data: { task: op.id, visit: k, row: rowId },
    disabled: !canMove || op.done,
  });
  const kind = op.station === 'road' ? 'road' : op.station === 'site' || op.station === 'yard' ? 'site' : '';
  return (
    <Tile
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-roledescription="block"
      aria-pressed={held}
      className={`on-paper board ${kind} ${op.done ? 'done' : ''}`}
      data-task={op.id}
      data-late={late}
      data-faulty={faulty}
      data-slim={bar.to - bar.from < EDGED}
      title={`${op.orderId} ${op.title}: ${op.name}${op.done ? ', done' : ''}${op.visits.length > 1 ? `, day ${k + 1} of ${op.visits.length} there` : ''}${pinned ? ', put there by hand' : ''}`}
      aria-label={`Order ${op.orderId}, ${op.name}${op.visits.length > 1 ? `, day ${k + 1} of ${op.visits.length}` : ''}${op.done ? ', done' : ''}`}
      onClick={onPick}
      style={{
        left: pc(bar.from),
        width: `max(${pc(bar.to - bar.from)} - 1px, 5px)`,
        top: bar.lane * LANE + 4,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        zIndex: transform ? 7 : 3,
        opacity: dim ? 0.28 : 1,
      }}
    >
      {/* What would be cut off after a letter says less than nothing: its title and its row tell it. */}
      {bar.to - bar.from > TELLS && (
        <>
          <strong>
            {op.done ? '✓ ' : pinned ? '⌖ ' : ''}
            {op.orderId}
          </strong>
          <span>
            {' '}
            {op.name}
            {marks === '' ? '' : ` ${marks}`}
          </span>
        </>
      )}
    </Tile>
  );
};

/** What a block waits for, as a mark on it where it is of moment, and in words; `buy` where that is mended by ordering something. */
export const waitsOf = (
  data: BoardData,
  op: BoardData['operations'][number],
): { readonly mark: string; readonly words: string; readonly buy?: boolean }[] => {
  if (op.done) return [];
  const order = data.orders.find((o) => o.id === op.orderId);
  const weather = holdWords(op);
  return [
    ...supplyWords(op.supply, data.today).map(({ soon, ...m }) => ({ mark: soon ? '▤' : '', ...m })),
    ...((op.station === 'road' || op.station === 'site') && order?.confirmed === 0
      ? [{ mark: '⚑', words: 'The customer has confirmed nothing of the site yet' }]
      : []),
    ...(weather === undefined ? [] : [{ mark: '☁', words: weather }]),
  ];
};
