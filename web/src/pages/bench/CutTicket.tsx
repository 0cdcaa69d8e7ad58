import { chakra } from '@chakra-ui/react';
import type { WorkPart } from '../../data/types.ts';

/** A piece on a stick, a sheet or a roll: tapped when it is cut. */
export const CutTicket = chakra('button', {
  base: {
    position: 'relative',
    height: '54px',
    minW: 0,
    overflow: 'hidden',
    border: '1.4px solid',
    borderColor: 'woodink',
    bg: 'wood',
    color: 'woodink',
    fontFamily: 'heading',
    fontStretch: '80%',
    fontWeight: 650,
    fontSize: '16px',
    textAlign: 'center',
    lineHeight: 1.1,
    '&[aria-pressed=true]': { bg: 'mosswash', color: 'ink' },
  },
});

/** A piece where it lies on a sheet or a roll, by its shares of the whole. */
export const PlacedTicket = ({
  box: [left, top, width, height],
  mark,
  title,
  part,
  isCut,
  onTick,
  children,
}: {
  readonly box: readonly [number, number, number, number];
  readonly mark: string | undefined;
  readonly title: string;
  readonly part: WorkPart | undefined;
  readonly isCut: boolean;
  readonly onTick: (part: WorkPart) => void;
  readonly children: React.ReactNode;
}) => (
  <CutTicket
    className="on-paper"
    aria-pressed={isCut}
    disabled={!part}
    data-mark={mark}
    title={title}
    onClick={() => part && onTick(part)}
    style={{
      position: 'absolute',
      left: `${100 * left}%`,
      top: `${100 * top}%`,
      width: `${100 * width}%`,
      height: `${100 * height}%`,
    }}
  >
    {isCut ? '✓ ' : ''}
    {children}
  </CutTicket>
);
