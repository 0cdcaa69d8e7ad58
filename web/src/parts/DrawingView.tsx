import type { Drawing, DrawItem, Tone } from '@rubbet/core/draw';
import { useShow } from '../data/useShow.tsx';

const COLOURS: Readonly<Record<Tone, string>> = {
  wood: 'wood',
  'wood-dark': 'wooddark',
  treated: 'treated',
  ply: 'ply',
  siding: 'siding',
  mesh: 'mesh',
  metal: 'metal',
  shingle: 'shingle',
  fitting: 'soft',
  glass: 'mesh',
  cloth: 'treated',
  concrete: 'paper',
  ink: 'ink',
  soft: 'soft',
  chalk: 'chalk',
  keel: 'keel',
  amber: 'amber',
  tape: 'tape',
  ground: 'woodedge',
  paper: 'sheet',
  faded: 'paper',
};
const colour = (tone: Tone): string => `var(--rb-colors-${COLOURS[tone]})`;
/** Outlines of wood stay dark on wood in either theme. */
const lineOf = (tone: Tone, fill: Tone | 'none'): string =>
  tone === 'ink' && fill !== 'none' && fill !== 'faded' && fill !== 'paper' ? 'var(--rb-colors-woodink)' : colour(tone);

const Item = ({
  item,
  flip,
  unit,
  onPart,
}: {
  readonly item: DrawItem;
  readonly flip: (y: number) => number;
  readonly unit: number;
  readonly onPart?: ((id: string) => void) | undefined;
}) => {
  const show = useShow();
  if (item.kind === 'area') {
    const d = item.rings
      .map((r) => `M${r.map(([x, y]) => `${x.toFixed(3)} ${flip(y).toFixed(3)}`).join('L')}Z`)
      .join('');
    const id = item.part;
    return (
      <>
        <path
          d={d}
          fill={item.fill === 'none' ? 'none' : colour(item.fill)}
          fillOpacity={item.fill === 'mesh' ? 0.22 : 1}
          fillRule="evenodd"
          stroke={lineOf(item.stroke, item.fill)}
          strokeWidth={unit * (item.stroke === 'soft' ? 0.7 : 0.9)}
          strokeLinejoin="round"
          strokeDasharray={item.dashed ? `${unit * 5} ${unit * 4}` : undefined}
          data-part={id}
          onClick={id && onPart ? () => onPart(id) : undefined}
        />
        {(item.shade ?? 0) > 0 && item.fill !== 'none' && item.fill !== 'mesh' && (
          <path d={d} fill="#201505" fillOpacity={(item.shade ?? 0) * 0.4} fillRule="evenodd" pointerEvents="none" />
        )}
      </>
    );
  }
  if (item.kind === 'line')
    return (
      <line
        x1={item.from[0]}
        y1={flip(item.from[1])}
        x2={item.to[0]}
        y2={flip(item.to[1])}
        stroke={colour(item.stroke)}
        strokeWidth={unit * item.weight}
        strokeDasharray={item.dashed ? `${unit * 6} ${unit * 4}` : undefined}
      />
    );
  const [x, y] = [item.at[0], flip(item.at[1])];
  const wide = item.text.length * item.size * 0.56 + item.size * 0.7;
  return (
    <g transform={item.turn ? `rotate(${-item.turn} ${x} ${y})` : undefined}>
      {item.tag && (
        <rect
          x={x - wide / 2}
          y={y - item.size * 0.78}
          width={wide}
          height={item.size * 1.55}
          fill={colour(item.tag)}
        />
      )}
      <text
        x={x}
        y={item.tag ? y + item.size * 0.36 : y}
        fontSize={item.size}
        textAnchor={item.anchor}
        fill={colour(item.tone)}
        style={{ fontFamily: 'Archivo Variable', fontStretch: '86%', fontWeight: 640 }}
      >
        {(item.length === undefined ? show.text(item.text) : show.length(item.length))
          .split(/(\d+\/\d+)/)
          .map((piece, i) =>
            i % 2 === 1 ? (
              <tspan key={i} style={{ fontFeatureSettings: '"frac"' }}>
                {piece}
              </tspan>
            ) : (
              piece.replace(/"/g, '″')
            ),
          )}
      </text>
    </g>
  );
};

/** A drawing of the core on screen, in the theme's colours, scaled to fit. */
export const DrawingView = ({
  drawing,
  onPart,
  pixels = 640,
  label,
}: {
  readonly drawing: Drawing;
  readonly onPart?: (id: string) => void;
  readonly pixels?: number;
  readonly label?: string;
}) => {
  const [x0, y0, x1, y1] = drawing.bounds;
  const flip = (y: number): number => y1 + y0 - y;
  const unit = Math.max((x1 - x0) / pixels, (y1 - y0) / (pixels * 0.8));
  return (
    <svg
      viewBox={`${x0} ${y0} ${x1 - x0} ${y1 - y0}`}
      role="img"
      aria-label={label ?? drawing.title}
      style={{ width: '100%', height: '100%', display: 'block' }}
      preserveAspectRatio="xMidYMid meet"
    >
      {drawing.items.map((item, i) => (
        <Item key={i} item={item} flip={flip} unit={unit} onPart={onPart} />
      ))}
    </svg>
  );
};
