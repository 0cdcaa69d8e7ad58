import { Box } from '@chakra-ui/react';
import { findItem } from '@rubbet/core/stock';
import type { BatchLine, BatchPiece } from '../../data/types.ts';
import { Len } from '../../parts/Text.tsx';

/** What a piece is called: its marks with their orders. */
export const nameOf = (p: BatchPiece): string => p.parts.map((x) => `${x.order} ${x.mark}`).join(' + ');

/** A stick to scale with what is cut from it, in its order. */
export const StickBar = ({
  line,
  longest,
  bad,
  onPiece,
  high = 40,
}: {
  readonly line: BatchLine;
  /** The stick that the others are drawn against, inches. */
  readonly longest: number;
  /** Pieces that are marked as no good. */
  readonly bad?: ReadonlySet<number>;
  readonly onPiece?: ((k: number) => void) | undefined;
  readonly high?: number;
}) => (
  <Box
    display="flex"
    width={`${(100 * line.length) / longest}%`}
    height={`${high}px`}
    bg="tapeoff"
    border="1px dashed"
    borderColor="soft"
    className="on-paper"
  >
    {line.pieces.map((p, k) => {
      const spoiled = p.state === 'spoiled' || bad?.has(k) === true;
      return (
        <Box
          key={k}
          {...(onPiece
            ? {
                as: 'button',
                onClick: () => onPiece(k),
                'aria-pressed': spoiled,
                'aria-label': `${nameOf(p)}${spoiled ? ', no good' : ''}`,
              }
            : {})}
          width={`${(100 * p.length) / line.length}%`}
          minW={0}
          overflow="hidden"
          display="grid"
          placeItems="center"
          borderRight="2px solid"
          borderColor="woodink"
          bg={spoiled ? 'tapeoff' : p.state === 'cut' ? 'mosswash' : line.item.endsWith('-pt') ? 'treated' : 'wood'}
          color={spoiled ? 'keel' : p.state === 'cut' ? 'ink' : 'woodink'}
          fontFamily="heading"
          fontStretch="78%"
          fontWeight={640}
          fontSize={high > 60 ? '17px' : '13.5px'}
          lineHeight={1.1}
          textAlign="center"
          title={p.parts.map((x) => `Order ${x.order}, ${x.mark}, ${x.panel}${x.ends ? `, ${x.ends}` : ''}`).join('; ')}
          data-piece={nameOf(p)}
        >
          <span style={{ textDecoration: spoiled ? 'line-through' : 'none' }}>
            {p.parts.map((x) => (
              <span key={x.part} style={{ display: 'block', whiteSpace: 'nowrap' }}>
                {(100 * p.length) / longest > 5 ? `${x.order} ` : ''}
                {x.mark}
              </span>
            ))}
            {(100 * p.length) / longest > 8 && <Len inches={p.length} />}
          </span>
        </Box>
      );
    })}
    {line.rests[0] !== undefined && line.kind === 'stick' && (
      <Box flex={1} display="grid" placeItems="center" color="soft" fontSize="13px" overflow="hidden">
        <span style={{ whiteSpace: 'nowrap' }}>
          {line.rests[0].mark ?? ''} <Len inches={line.rests[0].length} />
        </span>
      </Box>
    )}
  </Box>
);

/** A stick that is ripped, from its wide face: the sticks that come of it, one beside another, and the strip that is left. */
export const RipBar = ({ line }: { readonly line: BatchLine }) => {
  const wide = findItem(line.item);
  const narrow = findItem(line.rests[0]?.item ?? line.item);
  if (wide.kind !== 'lumber' || narrow.kind !== 'lumber') return null;
  const share = `${(100 * narrow.width) / wide.width}%`;
  return (
    <Box height="112px" bg="tapeoff" border="1px dashed" borderColor="soft" className="on-paper">
      {line.rests.map((_, k) => (
        <Box
          key={k}
          height={share}
          bg={line.item.endsWith('-pt') ? 'treated' : 'wood'}
          color="woodink"
          borderBottom="2px solid"
          borderColor="woodink"
          display="grid"
          placeItems="center"
          className="cond"
          fontSize="17px"
        >
          {narrow.name}
        </Box>
      ))}
    </Box>
  );
};

/** Inches of a roll that are drawn beyond its last strip. */
const BEYOND = 18;
/** Width of a sign by its height. */
const SIGN = 0.6;

/** A sheet, or as much of a roll as is cut, from above, with its pieces where they lie and its cuts in sequence. */
export const SheetMap = ({
  line,
  bad,
  onPiece,
}: {
  readonly line: BatchLine;
  readonly bad?: ReadonlySet<number>;
  readonly onPiece?: ((k: number) => void) | undefined;
}) => {
  const width = line.width ?? 48;
  const used = Math.max(0, ...line.pieces.map((p) => (p.x ?? 0) + p.length));
  const length = line.kind === 'roll' ? Math.min(line.length, used + BEYOND) : line.length;
  // A roll is drawn smaller, and written on as large.
  const scale = Math.max(1, length / 300);
  return (
    <svg
      viewBox={`-1 -1 ${length + 2} ${width + 2}`}
      style={{ width: '100%', maxWidth: line.kind === 'roll' ? 900 : 560, display: 'block' }}
      className="on-paper"
      role={onPiece ? 'group' : 'img'}
      aria-label={`A ${line.kind} with ${line.pieces.length} pieces`}
    >
      <rect
        x={0}
        y={0}
        width={length}
        height={width}
        fill="var(--rb-colors-tapeoff)"
        stroke="var(--rb-colors-soft)"
        strokeWidth={0.4}
        strokeDasharray="2 1"
      />
      {line.pieces.map((p, k) => {
        const spoiled = p.state === 'spoiled' || bad?.has(k) === true;
        const w = p.width ?? 0;
        // What is narrow and high is read from the side.
        const upright = p.length < 14 * scale && w > p.length;
        const small = Math.min(p.length, w) < 6 * scale || (upright ? w : p.length) < 12 * scale;
        const font = (small ? 3 : 4.4) * scale;
        // What has no room on a narrow strip is read from the list.
        const [along, across] = upright ? [w, p.length] : [p.length, w];
        const room = line.kind !== 'roll' || (nameOf(p).length * font * SIGN < along && font < across);
        const [cx, cy] = [(p.x ?? 0) + p.length / 2, width - (p.y ?? 0) - w / 2];
        return (
          <g
            key={k}
            {...(onPiece
              ? {
                  role: 'button',
                  tabIndex: 0,
                  'aria-pressed': spoiled,
                  'aria-label': `${nameOf(p)}${spoiled ? ', no good' : ''}`,
                  style: { cursor: 'pointer' },
                  onClick: () => onPiece(k),
                  onKeyDown: (e: React.KeyboardEvent) => {
                    if (e.key !== 'Enter' && e.key !== ' ') return;
                    e.preventDefault();
                    onPiece(k);
                  },
                }
              : {})}
            data-piece={nameOf(p)}
          >
            <rect
              x={p.x}
              y={width - (p.y ?? 0) - w}
              width={p.length}
              height={w}
              fill={`var(--rb-colors-${spoiled ? 'tapeoff' : p.state === 'cut' ? 'mosswash' : 'ply'})`}
              stroke="var(--rb-colors-woodink)"
              strokeWidth={0.4}
            />
            <text
              x={cx}
              y={cy + 1.5 * scale}
              {...(upright ? { transform: `rotate(-90 ${cx} ${cy})` } : {})}
              textAnchor="middle"
              fontSize={font}
              fontWeight={640}
              fill={`var(--rb-colors-${spoiled ? 'keel' : p.state === 'cut' ? 'ink' : 'woodink'})`}
              textDecoration={spoiled ? 'line-through' : 'none'}
            >
              {room ? nameOf(p) : ''}
            </text>
          </g>
        );
      })}
      {(line.cuts ?? []).map((c, i) => {
        const flip = (y: number): number => width - y;
        const [x, y] = c.along === 'length' ? [c.from + 2.6, flip(c.at)] : [c.at, flip(c.to) + 2.6];
        return (
          <g key={i}>
            <line
              x1={c.along === 'length' ? c.from : c.at}
              x2={c.along === 'length' ? c.to : c.at}
              y1={c.along === 'length' ? flip(c.at) : flip(c.from)}
              y2={c.along === 'length' ? flip(c.at) : flip(c.to)}
              stroke="var(--rb-colors-chalk)"
              strokeWidth={0.5}
            />
            <circle
              cx={x}
              cy={y}
              r={2.1}
              fill="var(--rb-colors-sheet)"
              stroke="var(--rb-colors-chalk)"
              strokeWidth={0.3}
            />
            <text x={x} y={y + 1.05} textAnchor="middle" fontSize={3} fill="var(--rb-colors-chalk)">
              {i + 1}
            </text>
          </g>
        );
      })}
    </svg>
  );
};
