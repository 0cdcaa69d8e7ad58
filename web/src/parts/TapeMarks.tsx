import { Box } from '@chakra-ui/react';
import type { Tape } from '@rubbet/core/unit';
import { layRuler, layTape } from '@rubbet/core/draw';
import { MM_PER_INCH } from '@rubbet/core/measure';
import { useShow } from '../data/useShow.tsx';

/** One pull of the tape, drawn: hook at the left, marks with a cross on the side where the piece lies. */
export const TapeMarks = ({ tape, tall = false }: { readonly tape: Tape; readonly tall?: boolean }) => {
  const show = useShow();
  const metric = show.units.style === 'mm';
  const W = 1000;
  const pad = 20;
  const high = tall ? 62 : 46;
  const size = tall ? 20 : 16;
  const {
    scale: k,
    marks,
    rows,
  } = layTape(
    tape,
    { width: W, pad, text: size, cross: 9, least: 12 },
    // A tape in millimetres has bare numbers on it.
    metric ? (inches) => String(Math.round(inches * MM_PER_INCH)) : show.length,
  );
  const ruler = layRuler(tape.length, k, metric);
  return (
    <Box overflowX="auto">
      <Box className="cond" fontSize={tall ? '17px' : '15px'} mb={1}>
        One pull of the tape, {tape.title} (× is the side the piece lies on)
      </Box>
      <svg
        viewBox={`0 0 ${W} ${high + rows * (size + 4) + 10}`}
        // Narrower than that nobody reads the figures: it is pulled along instead.
        style={{ width: '100%', minWidth: 720, display: 'block' }}
        role="img"
        aria-label={`Tape marks at ${tape.marks.map((m) => show.length(m.at)).join(', ')}`}
      >
        <rect
          x={pad}
          y={6}
          width={tape.length * k}
          height={high - 4}
          fill="var(--rb-colors-tape)"
          stroke="var(--rb-colors-tapeedge)"
        />
        <rect x={pad - 7} y={1} width={7} height={high + 8} fill="var(--rb-colors-soft)" />
        {ruler.map((t) => (
          <line
            key={t.at}
            x1={pad + t.at * k}
            x2={pad + t.at * k}
            y1={6}
            y2={6 + 18 * t.tall}
            stroke="#5A4300"
            strokeWidth={0.9}
          />
        ))}
        {ruler
          .filter((t) => t.figure !== undefined && !marks.some((m) => Math.abs(m.at - t.at) * k < 18))
          .map((t) => (
            <text
              key={t.at}
              x={pad + t.at * k}
              y={high - 12}
              fontSize={12}
              textAnchor="middle"
              fill={t.stud ? '#A32E1B' : '#6b5200'}
              style={{ fontFamily: 'Archivo Variable', fontWeight: 650 }}
            >
              {t.figure}
            </text>
          ))}
        {marks.map((m) => (
          <g key={`${m.part}-${m.at}`}>
            <line x1={m.x} x2={m.x} y1={3} y2={high + 4} stroke="#1C1503" strokeWidth={2.4} />
            <text
              x={m.cross}
              y={high - 1}
              fontSize={16}
              textAnchor="middle"
              fill="#1C1503"
              data-cross={m.side}
              data-part={m.part}
              style={{ fontFamily: 'Archivo Variable', fontWeight: 700 }}
            >
              ×
            </text>
            <text
              x={m.x}
              y={high + 4 + size + m.row * (size + 4)}
              fontSize={size}
              textAnchor="middle"
              fill="var(--rb-colors-ink)"
              style={{ fontFamily: 'Archivo Variable', fontStretch: '84%', fontWeight: 660 }}
            >
              {m.text.split(/(\d+\/\d+)/).map((piece, i) =>
                i % 2 === 1 ? (
                  <tspan key={i} style={{ fontFeatureSettings: '"frac"' }}>
                    {piece}
                  </tspan>
                ) : (
                  piece.replace('"', '″')
                ),
              )}
            </text>
          </g>
        ))}
      </svg>
    </Box>
  );
};
