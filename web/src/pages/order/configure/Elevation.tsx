import { Box } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { toWorld } from '@rubbet/core/geometry';
import type { Pt } from '@rubbet/core/geometry';
import type { Build, Fitting, Opening, Side } from '@rubbet/core/unit';
import { CAMERAS, drawBuild, see } from '@rubbet/core/draw';
import type { Camera } from '@rubbet/core/draw';
import { fittingOf, snapLeft, wallLayout } from '@rubbet/core/model';
import { DrawingView } from '../../../parts/DrawingView.tsx';
import { useShow } from '../../../data/useShow.tsx';

/** A length parameter that a dimension of this view stands for. */
export interface StretchHandle {
  readonly param: string;
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly locked: boolean;
}

type Drag =
  | { readonly what: 'move' | 'size'; readonly fitting: Fitting; readonly at: Pt }
  | { readonly what: 'stretch'; readonly handle: StretchHandle; readonly at: Pt };

const clampTo = (n: number, low: number, high: number): number => Math.min(high, Math.max(low, n));

/** Rectangle of an opening in the picture, x to the right and y up. */
const rectOn = (build: Build, camera: Camera, o: Opening): readonly [number, number, number, number] | undefined => {
  const wall = build.assemblies.find((a) => a.id === o.assembly);
  if (!wall) return undefined;
  const a = see(camera, toWorld(wall.face, o.left, o.bottom));
  const b = see(camera, toWorld(wall.face, o.left + o.width, o.bottom + o.height));
  return [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])];
};

/**
 * An elevation that is worked on: its openings are moved and sized with the mouse or the arrow keys, snapping to studs and whole
 * inches, and its overall dimension is pulled to stretch the unit. Every step is framed anew.
 */
export const Elevation = ({
  build,
  side,
  frame,
  stretch,
  selected,
  marked,
  onSelect,
  onDraft,
  onPut,
  onStretch,
  onRemove,
  onCopy,
}: {
  readonly build: Build;
  readonly side: Side;
  readonly frame: boolean;
  readonly stretch: StretchHandle | undefined;
  readonly selected: string | undefined;
  /** Parts that a chosen finding points at. */
  readonly marked: readonly string[];
  readonly onSelect: (id: string | undefined) => void;
  /** While something is dragged: shown, not yet kept. */
  readonly onDraft: (
    change: { readonly fitting: Fitting } | { readonly param: string; readonly value: number },
  ) => void;
  readonly onPut: (fitting: Fitting) => void;
  readonly onStretch: (param: string, value: number) => void;
  readonly onRemove: (fitting: Fitting) => void;
  readonly onCopy: (fitting: Fitting) => void;
}) => {
  const show = useShow();
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag>();
  const last = useRef<Fitting | number>(undefined);
  const camera = CAMERAS[side] as Camera;
  const drawing = drawBuild(build, side, {
    ...(frame ? { show: 'frame' as const } : {}),
    ...(marked.length > 0 ? { highlight: marked } : {}),
  });
  const [x0, y0, x1, y1] = drawing.bounds;
  const flip = (y: number): number => y1 + y0 - y;
  const wall = wallLayout(build, side);
  const openings = build.openings.filter((o) => o.wall === side);
  const unit = (x1 - x0) / 700;

  const pointOf = (e: { readonly clientX: number; readonly clientY: number }): Pt => {
    const ctm = svg.current?.getScreenCTM();
    if (!ctm) return [0, 0];
    const p = new DOMPoint(e.clientX, e.clientY).matrixTransform(ctm.inverse());
    return [p.x, flip(p.y)];
  };
  /** How the wall's own direction runs in the picture: seen from outside it is always to the right. */
  const changed = (f: Fitting, what: 'move' | 'size', dx: number, dy: number): Fitting => {
    if (!wall) return f;
    if (what === 'move')
      return {
        ...f,
        left: snapLeft(f.left + dx, f.width, wall),
        bottom: clampTo(Math.round(f.bottom + dy), 1.5, 108),
      };
    return {
      ...f,
      width: clampTo(Math.round(f.width + dx), 6, Math.max(6, wall.length - f.left - 4.5)),
      height: clampTo(Math.round(f.height + dy), 3, 96),
    };
  };
  const begin = (e: React.PointerEvent, next: Drag): void => {
    e.preventDefault();
    e.stopPropagation();
    svg.current?.setPointerCapture(e.pointerId);
    last.current = undefined;
    setDrag(next);
  };
  const move = (e: React.PointerEvent): void => {
    if (!drag) return;
    const p = pointOf(e);
    const [dx, dy] = [p[0] - drag.at[0], p[1] - drag.at[1]];
    if (drag.what === 'stretch') {
      const value = clampTo(Math.round(drag.handle.value + dx), drag.handle.min, drag.handle.max);
      if (value === last.current) return;
      last.current = value;
      onDraft({ param: drag.handle.param, value });
      return;
    }
    const next = changed(drag.fitting, drag.what, dx, dy);
    if (JSON.stringify(next) === JSON.stringify(last.current ?? drag.fitting)) return;
    last.current = next;
    onDraft({ fitting: next });
  };
  const end = (): void => {
    const result = last.current;
    if (drag && result !== undefined) {
      if (typeof result === 'number' && drag.what === 'stretch') onStretch(drag.handle.param, result);
      else if (typeof result === 'object') onPut(result);
    }
    last.current = undefined;
    setDrag(undefined);
  };
  const onKey = (e: React.KeyboardEvent, f: Fitting): void => {
    const arrow = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[e.key];
    if (arrow) {
      e.preventDefault();
      const [dx = 0, dy = 0] = arrow;
      if (e.shiftKey) onPut(changed(f, 'size', dx, dy));
      // A key steps by the inch, off a stud as well as on to one.
      else
        onPut({
          ...f,
          left: clampTo(f.left + dx, 4.5, (wall?.length ?? 0) - f.width - 4.5),
          bottom: clampTo(f.bottom + dy, 1.5, 108),
        });
    } else if (e.key === 'Delete' || e.key === 'Backspace') {
      e.preventDefault();
      onRemove(f);
    } else if (e.key.toLowerCase() === 'd' && (e.ctrlKey || e.metaKey)) {
      e.preventDefault();
      onCopy(f);
    } else if (e.key === 'Escape') onSelect(undefined);
  };
  const [bx0, , bx1] = [build.facts.base[0], 0, build.facts.base[2]];
  const across = side === 'front' || side === 'back' ? [bx0, bx1] : [build.facts.base[1], build.facts.base[3]];
  const ends = across.map((v) => (side === 'back' || side === 'left' ? -v : v)).sort((a, b) => a - b);
  const handleX = ends[1] ?? 0;
  return (
    <Box position="absolute" inset="8px 20px">
      <Box position="absolute" inset={0}>
        <DrawingView drawing={drawing} pixels={760} />
      </Box>
      <svg
        ref={svg}
        viewBox={`${x0} ${y0} ${x1 - x0} ${y1 - y0}`}
        preserveAspectRatio="xMidYMid meet"
        style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', touchAction: 'none' }}
        onPointerMove={move}
        onPointerUp={end}
        onPointerCancel={end}
        onClick={() => onSelect(undefined)}
        role="group"
        aria-label={`${side} elevation, openings`}
      >
        {openings.map((o) => {
          const r = rectOn(build, camera, o);
          const f = fittingOf(o);
          if (!r || !f) return null;
          const on = selected === f.id;
          return (
            <g key={o.id}>
              <rect
                x={r[0]}
                y={flip(r[3])}
                width={r[2] - r[0]}
                height={r[3] - r[1]}
                fill={on ? 'var(--rb-colors-tape)' : 'transparent'}
                fillOpacity={on ? 0.25 : 1}
                stroke="var(--rb-colors-chalk)"
                strokeWidth={unit * (on ? 3 : 1.4)}
                strokeDasharray={on ? undefined : `${unit * 6} ${unit * 5}`}
                style={{ cursor: 'move', outline: 'none' }}
                tabIndex={0}
                role="button"
                aria-pressed={on}
                aria-label={`${o.kind}, ${show.length(o.left)} from the left, ${show.length(o.bottom)} up, ${show.length(o.width)} by ${show.length(o.height)}. Arrows move it, with Shift they size it, Ctrl D copies, Delete takes it out.`}
                data-opening={f.id}
                onFocus={() => onSelect(f.id)}
                onClick={(e) => e.stopPropagation()}
                onKeyDown={(e) => onKey(e, f)}
                onPointerDown={(e) => {
                  onSelect(f.id);
                  (e.currentTarget as SVGRectElement).focus();
                  begin(e, { what: 'move', fitting: f, at: pointOf(e) });
                }}
              />
              {on && (
                <>
                  <rect
                    x={r[2] - unit * 7}
                    y={flip(r[3]) - unit * 7}
                    width={unit * 14}
                    height={unit * 14}
                    fill="var(--rb-colors-chalk)"
                    style={{ cursor: 'nesw-resize' }}
                    data-handle="size"
                    onPointerDown={(e) => begin(e, { what: 'size', fitting: f, at: pointOf(e) })}
                    onClick={(e) => e.stopPropagation()}
                  />
                  <text
                    x={(r[0] + r[2]) / 2}
                    y={flip(r[1]) + unit * 20}
                    fontSize={unit * 15}
                    textAnchor="middle"
                    fill="var(--rb-colors-chalk)"
                    stroke="var(--rb-colors-sheet)"
                    strokeWidth={unit * 4}
                    style={{
                      fontFamily: 'Archivo Variable',
                      fontWeight: 650,
                      pointerEvents: 'none',
                      paintOrder: 'stroke',
                    }}
                  >
                    {`${show.length(o.width)} × ${show.length(o.height)}, ${show.length(o.left)} in, ${show.length(o.bottom)} up`}
                  </text>
                </>
              )}
            </g>
          );
        })}
        {stretch && (
          <g
            data-handle="stretch"
            role="slider"
            tabIndex={0}
            aria-label={`${stretch.label}, pull to stretch`}
            aria-valuemin={stretch.min}
            aria-valuemax={stretch.max}
            aria-valuenow={stretch.value}
            aria-disabled={stretch.locked}
            style={{ cursor: stretch.locked ? 'not-allowed' : 'ew-resize', outline: 'none' }}
            onPointerDown={(e) => !stretch.locked && begin(e, { what: 'stretch', handle: stretch, at: pointOf(e) })}
            onClick={(e) => e.stopPropagation()}
            onKeyDown={(e) => {
              const by = e.key === 'ArrowRight' ? 1 : e.key === 'ArrowLeft' ? -1 : 0;
              if (by === 0 || stretch.locked) return;
              e.preventDefault();
              onStretch(stretch.param, clampTo(stretch.value + by, stretch.min, stretch.max));
            }}
          >
            <line
              x1={handleX}
              x2={handleX}
              y1={flip(y0 + (y1 - y0) * 0.03)}
              y2={flip(0)}
              stroke="var(--rb-colors-keel)"
              strokeWidth={unit * 1.4}
              strokeDasharray={`${unit * 4} ${unit * 4}`}
            />
            <path
              d={`M${handleX - unit * 9} ${flip(y0 + (y1 - y0) * 0.045)} l${unit * 9} ${-unit * 8} l${unit * 9} ${unit * 8} l${-unit * 9} ${unit * 8} Z`}
              fill={stretch.locked ? 'var(--rb-colors-soft)' : 'var(--rb-colors-keel)'}
            />
          </g>
        )}
      </svg>
    </Box>
  );
};
