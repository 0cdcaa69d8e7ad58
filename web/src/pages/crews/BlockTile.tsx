import { useDraggable } from '@dnd-kit/core';
import { chakra } from '@chakra-ui/react';
import type { Block } from '@rubbet/core/schedule';
import type { BoardOperation } from '../../data/types.ts';

/** Height of one lane of a row. */
export const LANE = 50;
/** Narrowest a block is drawn, so that its words fit. */
export const TILE = 68;

/** A block with where it is drawn. */
export interface Drawn {
  readonly block: Block;
  readonly op: BoardOperation;
  readonly lane: number;
  readonly dryUntil: number;
}

const Tile = chakra('button', {
  base: {
    position: 'absolute',
    height: '44px',
    border: '1px solid',
    borderColor: 'woodink',
    borderLeftWidth: '6px',
    borderLeftColor: 'woodedge',
    color: 'woodink',
    px: '6px',
    overflow: 'hidden',
    textAlign: 'left',
    lineHeight: 1.15,
    touchAction: 'none',
    fontFamily: 'heading',
    fontStretch: '78%',
    cursor: 'grab',
    '&.site, &.road': { color: 'ink' },
    '&[aria-pressed=true]': { outline: '3px solid', outlineColor: 'tape' },
    '&[data-late=true]': { borderColor: 'keel', borderWidth: '2px', borderLeftWidth: '6px' },
  },
});

/** One block on the board: draggable, and taken in hand by a press. */
export const BlockTile = ({
  d,
  left,
  width,
  late,
  held,
  canMove,
  onPick,
  moving,
}: {
  readonly d: Drawn;
  /** Where it begins and how long it is, in parts of its row. */
  readonly left: string;
  readonly width: string;
  readonly late: boolean;
  readonly held: boolean;
  readonly canMove: boolean;
  readonly onPick: () => void;
  readonly moving: boolean;
}) => {
  const { setNodeRef, listeners, attributes, transform } = useDraggable({ id: d.op.id, disabled: !canMove });
  const kind = d.op.station === 'road' ? 'road' : d.op.station === 'site' || d.op.station === 'yard' ? 'site' : '';
  return (
    <Tile
      ref={setNodeRef}
      {...attributes}
      {...listeners}
      aria-roledescription="block"
      aria-pressed={held}
      className={`on-paper board ${kind} ${d.op.done ? 'done' : ''}`}
      data-task={d.op.id}
      data-late={late}
      title={`${d.op.orderId} ${d.op.title}: ${d.op.name}${d.op.done ? ', done' : ''}`}
      aria-label={`Order ${d.op.orderId}, ${d.op.name}${d.op.done ? ', done' : ''}`}
      onClick={onPick}
      style={{
        left,
        width: `max(${width} - 2px, ${TILE}px)`,
        top: d.lane * LANE + 3,
        transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined,
        zIndex: transform ? 5 : 2,
        opacity: moving ? 0.6 : 1,
      }}
    >
      <strong>{d.op.orderId}</strong>
      <br />
      <span style={{ fontSize: 13, fontWeight: 500 }}>
        {d.op.done ? '✓ ' : ''}
        {d.op.name}
      </span>
    </Tile>
  );
};
