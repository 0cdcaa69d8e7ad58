import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent, DragMoveEvent } from '@dnd-kit/core';
import { Box } from '@chakra-ui/react';
import { useRef } from 'react';
import { shortDay } from '../../data/days.ts';
import type { BoardData } from '../../data/types.ts';
import { Backdrop, BarTile, LANE, waitsOf } from './BarTile.tsx';
import { clock } from './clock.ts';
import type { Axis, BoardRow, Zoom } from './layBoard.ts';

const HEAD = 50;
const NAMES = '124px';
const PAD = 8;

/** A visit of a block that is in hand, on which row. */
export interface Held {
  readonly task: string;
  readonly visit: number;
  readonly row: string;
}
/** Over which row it is dragged, how far: parts of the axis. */
export interface Over {
  readonly task: string;
  readonly visit: number;
  readonly row: BoardRow;
  readonly parts: number;
}

/** Days across, rows down; what is dragged is told with where it was let go. */
export const BoardGrid = ({
  data,
  axis,
  rows,
  zoom,
  held,
  search,
  office,
  onPick,
  onDrop,
  onOver,
}: {
  readonly data: BoardData;
  readonly axis: Axis;
  readonly rows: readonly BoardRow[];
  readonly zoom: Zoom;
  readonly held: Held | undefined;
  readonly search: string;
  readonly office: boolean;
  readonly onPick: (held: Held) => void;
  readonly onDrop: (over: Over) => void;
  /** What is dragged, over which row, how far; nothing once it is let go. */
  readonly onOver: (over: Over | undefined) => void;
}) => {
  const grid = useRef<HTMLDivElement>(null);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const late = new Set(data.orders.filter((o) => o.late > 0).map((o) => o.id));
  const faulty = new Set(data.faults.map((f) => f.task));
  const wanted = search.trim().toLowerCase();
  const matches = (text: string): boolean => wanted === '' || text.toLowerCase().includes(wanted);
  const n = axis.days.length;
  const narrow = zoom === 'season';
  const today = axis.days.findIndex((d) => d.day === data.today);
  const nowAt = axis.at(data.today, data.now);
  const heightOf = (r: BoardRow): number => r.lanes * LANE + PAD + (r.load.length > 0 && !narrow ? 14 : 0);
  /** The row under the middle of what is dragged. */
  const rowAt = (from: string, bar: number, dy: number): BoardRow | undefined => {
    const i = rows.findIndex((r) => r.id === from);
    let y = rows.slice(0, Math.max(0, i)).reduce((sum, r) => sum + heightOf(r), 0) + (bar + 0.5) * LANE + dy;
    for (const r of rows) {
      y -= heightOf(r);
      if (y < 0) return r;
    }
    return rows.at(-1);
  };
  const read = (e: DragEndEvent | DragMoveEvent) => {
    const from = e.active.data.current as Held | undefined;
    if (!from || !grid.current) return undefined;
    const bar = rows
      .find((r) => r.id === from.row)
      ?.bars.find((b) => b.op.id === from.task && b.k === from.visit && b.kind === 'work');
    const row = rowAt(from.row, bar?.lane ?? 0, e.delta.y);
    return (
      row && {
        task: from.task,
        visit: from.visit,
        row,
        parts: e.delta.x / grid.current.clientWidth,
        moved: row.id !== from.row,
      }
    );
  };
  return (
    <Box overflow="auto" flex={1} minH={0} bg="sheet" tabIndex={0} role="region" aria-label="Board">
      <Box
        display="grid"
        gridTemplateColumns={`${NAMES} minmax(640px,1fr)`}
        minW="764px"
        position="sticky"
        top={0}
        zIndex={9}
        bg="sheet"
      >
        <Box height={`${HEAD}px`} borderBottom="1px solid" borderColor="rule" />
        <Box
          position="relative"
          display="grid"
          gridTemplateColumns={`repeat(${n}, minmax(0,1fr))`}
          height={`${HEAD}px`}
          borderBottom="1px solid"
          borderColor="rule"
        >
          {zoom === 'day' &&
            hoursOf(axis).map((h) => (
              <Box
                key={h.minute}
                className="cond"
                position="absolute"
                bottom="1px"
                left={`calc(${100 * h.at}% + 3px)`}
                fontSize="12px"
                color="soft"
              >
                {clock(h.minute)}
              </Box>
            ))}
          {axis.days.map((d, i) => {
            const monday = i > 0 && new Date(`${d.day}T00:00:00Z`).getUTCDay() === 1;
            const bad = d.rain >= 0.5 || d.wind > 20 || d.low < 36;
            if (narrow && !monday && i > 0) return <Box key={d.day} bg={d.day === data.today ? 'tape' : undefined} />;
            return (
              <Box
                key={d.day}
                px={narrow ? '2px' : 2}
                pt={1}
                borderLeft={monday ? '2px solid' : '1px solid'}
                borderColor={monday ? 'ink' : 'hair'}
                bg={d.day === data.today ? 'tape' : undefined}
                color={d.day === data.today ? 'tapeink' : undefined}
                lineHeight={1.2}
                overflow={narrow ? 'visible' : 'hidden'}
                title={`${shortDay(d.day)}: ${d.weather || 'no forecast'}, sun ${clock(d.rise)} to ${clock(d.set)}${d.note ? `, ${d.note}` : ''}`}
              >
                <Box className="cond" fontSize="14px" whiteSpace="nowrap">
                  {narrow
                    ? shortDay(d.day).split(' ').slice(1).join(' ')
                    : shortDay(d.day).split(' ').slice(0, 2).join(' ')}
                </Box>
                {!narrow && (
                  <Box
                    fontSize="12px"
                    whiteSpace="nowrap"
                    color={d.day === data.today ? 'tapeink' : bad ? 'chalk' : 'soft'}
                  >
                    {d.works ? d.weather : d.note || 'closed'}
                    {zoom === 'day' || zoom === 'week' ? ` ☼ ${clock(d.rise)}–${clock(d.set)}` : ''}
                  </Box>
                )}
                {!narrow && d.overtime > 0 && (
                  <Box fontSize="11.5px" whiteSpace="nowrap">
                    to {clock(d.closes + d.overtime)}
                  </Box>
                )}
              </Box>
            );
          })}
        </Box>
      </Box>
      <DndContext
        sensors={sensors}
        onDragMove={(e) => {
          const over = read(e);
          onOver(over);
        }}
        onDragCancel={() => onOver(undefined)}
        onDragEnd={(e) => {
          const over = read(e);
          onOver(undefined);
          if (over && (over.moved || Math.abs(over.parts) > 1e-4)) onDrop(over);
        }}
        accessibility={{
          screenReaderInstructions: {
            draggable:
              'Press to take a block in hand, then arrow keys move it by a day, with Shift by a quarter of an hour, or to another row.',
          },
        }}
      >
        <Box display="grid" gridTemplateColumns={`${NAMES} minmax(640px,1fr)`} minW="764px">
          <Box>
            {rows.map((r, i) => (
              <Box
                key={r.id}
                height={`${heightOf(r)}px`}
                borderBottom={rows[i + 1] && rows[i + 1]?.kind !== r.kind ? '2px solid' : '1px solid'}
                borderColor={rows[i + 1] && rows[i + 1]?.kind !== r.kind ? 'ink' : 'rule'}
                px={2}
                pt="6px"
                className="cond"
                fontSize="14.5px"
                lineHeight={1.15}
                overflow="hidden"
              >
                {r.name}
              </Box>
            ))}
          </Box>
          <Box ref={grid} position="relative">
            {axis.days.map((d, i) => (
              <Box
                key={d.day}
                position="absolute"
                top={0}
                bottom={0}
                left={`${(100 * i) / n}%`}
                width={`${100 / n}%`}
                borderLeft={i > 0 && new Date(`${d.day}T00:00:00Z`).getUTCDay() === 1 ? '2px solid' : '1px solid'}
                borderColor={i > 0 && new Date(`${d.day}T00:00:00Z`).getUTCDay() === 1 ? 'ink' : 'hair'}
                bg={!d.works || d.rain >= 0.5 ? 'paper' : undefined}
              />
            ))}
            {zoom === 'day' &&
              hoursOf(axis).map((h) => (
                <Box
                  key={h.minute}
                  position="absolute"
                  top={0}
                  bottom={0}
                  left={`${100 * h.at}%`}
                  borderLeft="1px solid"
                  borderColor="hair"
                />
              ))}
            {today >= 0 && (
              <Box
                position="absolute"
                top={0}
                bottom={0}
                left={`${100 * nowAt}%`}
                width="2px"
                bg="keel"
                zIndex={4}
                pointerEvents="none"
              />
            )}
            {rows.map((r, i) => (
              <Box
                key={r.id}
                position="relative"
                height={`${heightOf(r)}px`}
                borderBottom={rows[i + 1] && rows[i + 1]?.kind !== r.kind ? '2px solid' : '1px solid'}
                borderColor={rows[i + 1] && rows[i + 1]?.kind !== r.kind ? 'ink' : 'rule'}
                data-row={r.id}
              >
                {r.gone.map((g) => (
                  <Box
                    key={g.key}
                    className="gone"
                    position="absolute"
                    top={0}
                    bottom={0}
                    left={`${100 * Math.max(0, g.from)}%`}
                    width={`${100 * (Math.min(1, g.to) - Math.max(0, g.from))}%`}
                    role="img"
                    aria-label={`${r.name}, ${g.why}`}
                    title={g.why}
                    px="4px"
                    fontSize="11px"
                    lineHeight={1.2}
                    color="keel"
                    overflow="hidden"
                    whiteSpace="nowrap"
                  >
                    {!narrow && g.to - g.from > 0.06 && g.why}
                  </Box>
                ))}
                {r.bars.map((b) =>
                  b.kind === 'work' ? (
                    <BarTile
                      key={b.key}
                      bar={b}
                      rowId={r.id}
                      marks={[...new Set(waitsOf(data, b.op).map((w) => w.mark))].join('')}
                      late={late.has(b.op.orderId)}
                      faulty={faulty.has(b.op.id)}
                      held={held?.task === b.op.id && held.visit === b.k && held.row === r.id}
                      dim={!matches(`${b.op.orderId} ${b.op.title} ${b.op.name}`)}
                      canMove={office}
                      onPick={() => onPick({ task: b.op.id, visit: b.k, row: r.id })}
                    />
                  ) : (
                    <Backdrop
                      key={b.key}
                      bar={b}
                      lanes={r.lanes}
                      label={`${b.op.orderId} ${b.op.title}`}
                      {...(r.kind === 'rack' ? { words: String(b.op.orderId) } : {})}
                    />
                  ),
                )}
                {!narrow &&
                  r.load.map((l, k) => {
                    const over = l.loaded > l.available;
                    if (l.loaded === 0) return null;
                    return (
                      <Box
                        key={l.day}
                        position="absolute"
                        bottom="1px"
                        left={`${(100 * k) / n}%`}
                        width={`${100 / n}%`}
                        px="3px"
                        fontSize="11px"
                        lineHeight={1}
                        color={over ? 'keel' : 'soft'}
                        whiteSpace="nowrap"
                        overflow="hidden"
                        aria-label={`${r.name}, ${shortDay(l.day)}: ${hours(l.loaded)} of ${hours(l.available)} hours loaded`}
                      >
                        <Box height="3px" bg="hair" mb="1px">
                          <Box
                            height="3px"
                            bg={over ? 'keel' : 'moss'}
                            width={`${Math.min(100, (100 * l.loaded) / Math.max(1, l.available))}%`}
                          />
                        </Box>
                        {hours(l.loaded)}/{hours(l.available)} h
                      </Box>
                    );
                  })}
              </Box>
            ))}
          </Box>
        </Box>
      </DndContext>
    </Box>
  );
};

const hours = (minutes: number): string => {
  const h = Math.round(minutes / 6) / 10;
  return Number.isInteger(h) ? String(h) : h.toFixed(1);
};

/** Whole hours of a day that is seen alone, and where they lie. */
const hoursOf = (axis: Axis): { readonly minute: number; readonly at: number }[] => {
  const out: { minute: number; at: number }[] = [];
  for (let minute = 60 * Math.ceil((axis.opens + 1) / 60); minute < axis.closes; minute += 60)
    out.push({ minute, at: (minute - axis.opens) / (axis.closes - axis.opens) });
  return out;
};
