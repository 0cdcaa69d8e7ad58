import { DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import type { DragEndEvent } from '@dnd-kit/core';
import { Box } from '@chakra-ui/react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { addDays, afterDrying, weekday } from '@rubbet/core/schedule';
import { api } from '../../data/api.ts';
import { longDay, shortDay } from '../../data/days.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import type { BoardData, BoardOperation, MoveData } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNarrow } from '../../parts/useNarrow.ts';
import { Soft, Title } from '../../parts/Text.tsx';
import { BlockTile, LANE, TILE } from './BlockTile.tsx';
import { DayList } from './DayList.tsx';
import { findDropTarget } from './dropTarget.ts';
import { layLanes } from './layLanes.ts';
import { PlanSays } from './PlanSays.tsx';
import type { Said } from './PlanSays.tsx';
import { isOffice } from '../../data/roles.ts';

const SNAP = 30;
const HEAD = 56;

/** The crew board: days across, crews and bays down; a block moved takes along what depends on it. */
export const Crews = () => {
  const { data, error, mutate } = useBoard();
  const { me } = useMe();
  const narrow = useNarrow();
  const navigate = useNavigate();
  const [page, setPage] = useState(0);
  const [held, setHeld] = useState<string>();
  const [said, setSaid] = useState<Said>();
  const [busy, setBusy] = useState(false);
  const grid = useRef<HTMLDivElement>(null);
  const [wide, setWide] = useState(880);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  const loaded = data !== undefined;
  useEffect(() => {
    const node = grid.current;
    if (!node) return;
    const observer = new ResizeObserver(() => setWide(node.clientWidth));
    observer.observe(node);
    return () => observer.disconnect();
  }, [loaded]);

  const view = useMemo(() => {
    if (!data) return undefined;
    const todayIndex = data.calendar.days.findIndex((d) => d >= data.today);
    // The calendar begins on the first worked day of a week; weeks have as many days as are worked.
    const perWeek = new Set(data.calendar.days.slice(0, 14).map(weekday)).size;
    const span = perWeek * 2;
    const week = data.calendar.days.findIndex((d) => d > addDays(data.today, -1 - ((weekday(data.today) + 6) % 7)));
    const first = Math.max(0, week + page * perWeek);
    const from = first * data.calendar.minutes;
    const to = from + span * data.calendar.minutes;
    const ops = new Map(data.operations.map((o) => [o.id, o]));
    const rows = data.rows.map((row) => {
      const mine = data.blocks.filter((b) => b.row === row.id && b.end > from && b.start < to);
      const drawn = layLanes(
        mine.map((b) => ({
          block: b,
          op: ops.get(b.task) as BoardOperation,
          dryUntil: afterDrying(data.calendar, b.end, ops.get(b.task)?.dry ?? 0),
          // A short block is drawn wider than it lasts.
          drawnUntil: b.start + ((TILE + 4) * span * data.calendar.minutes) / wide,
        })),
      );
      return { row, drawn, lanes: Math.max(1, ...drawn.map((d) => d.lane + 1)) };
    });
    return { first, from, to, rows, todayIndex, span, perWeek, days: data.calendar.days.slice(first, first + span) };
  }, [data, page, wide]);

  if (error && !data) throw error;
  if (data && narrow) return <DayList data={data} />;
  if (!data || !view) return <Loading />;
  const { span, perWeek } = view;
  const perMinute = wide / (span * data.calendar.minutes);
  const late = new Set(data.clashes.filter((c) => c.kind === 'late').map((c) => c.task));
  const office = isOffice(me);

  /** Does something to the board; what came of it is said beside it, and a refused move shows the board as it is now. */
  const change = async (work: () => Promise<Said>): Promise<void> => {
    setBusy(true);
    try {
      setSaid(await work());
    } catch (e) {
      setSaid({ text: e instanceof Error ? e.message : String(e), bad: true });
      await mutate();
    } finally {
      setBusy(false);
    }
  };
  const move = async (task: string, row: string, start: number): Promise<void> => {
    const op = data.operations.find((o) => o.id === task);
    const day = data.calendar.days[Math.floor(start / data.calendar.minutes)];
    if (!op || day === undefined || start < 0) return;
    await change(async () => {
      const { moved, before, ...next } = await api<MoveData>('/board/move', {
        method: 'POST',
        body: { task, version: op.version, row, day, minute: Math.round(start % data.calendar.minutes) },
      });
      await mutate(next, { revalidate: false });
      const shifted = moved.length - 1;
      return {
        text: `${op.orderId} ${op.name} is on ${longDay(day)} now. ${shifted === 0 ? 'Nothing else moved.' : `${shifted} more ${shifted === 1 ? 'block' : 'blocks'} moved with it.`}`,
        bad: false,
        undo: before,
      };
    });
  };
  const putBack = (blocks: Said['undo']): Promise<void> =>
    change(async () => {
      await mutate(await api<BoardData>('/board/put-back', { method: 'POST', body: { blocks } }), {
        revalidate: false,
      });
      const n = blocks?.length ?? 0;
      return { text: n === 1 ? 'It stands where it stood.' : `All ${n} blocks stand where they stood.`, bad: false };
    });
  const onDragEnd = (event: DragEndEvent): void => {
    const task = String(event.active.id);
    const block = data.blocks.find((b) => b.task === task);
    if (!block || !grid.current) return;
    const { row, start } = findDropTarget(
      block,
      event.delta,
      view.rows.map((r) => ({ id: r.row.id, lanes: r.lanes, laneOf: new Map(r.drawn.map((d) => [d.op.id, d.lane])) })),
      { perMinute, lane: LANE, pad: 8, snap: SNAP },
    );
    if (row === block.row && start === block.start) return;
    void move(task, row, start);
  };
  const onKey = (e: React.KeyboardEvent): void => {
    if (!held || !office || busy) return;
    const block = data.blocks.find((b) => b.task === held);
    if (!block) return;
    const index = data.rows.findIndex((r) => r.id === block.row);
    const step = {
      ArrowLeft: [-data.calendar.minutes, 0],
      ArrowRight: [data.calendar.minutes, 0],
      ArrowUp: [0, -1],
      ArrowDown: [0, 1],
    }[e.key];
    if (e.key === 'Escape') setHeld(undefined);
    if (!step) return;
    e.preventDefault();
    const row = data.rows[Math.min(data.rows.length - 1, Math.max(0, index + (step[1] ?? 0)))]?.id ?? block.row;
    void move(held, row, Math.max(0, block.start + (step[0] ?? 0)));
  };
  const heldOp = data.operations.find((o) => o.id === held);
  const heldBlock = data.blocks.find((b) => b.task === held);
  return (
    <Box className="wide-paper" display="grid" gridTemplateColumns="minmax(0,1fr) 300px" height="100%" minH={0}>
      <Box minW={0} display="flex" flexDirection="column" minH={0} onKeyDown={onKey}>
        <Box
          bg="sheet"
          px={5}
          height="60px"
          display="flex"
          alignItems="center"
          gap={4}
          borderBottom="2px solid"
          borderColor="ink"
          flexShrink={0}
        >
          <Title>Two weeks from {longDay(view.days[0] ?? data.today)}</Title>
          <Soft>
            {
              new Set(
                data.blocks.filter((b) => b.end > view.from && b.start < view.to).map((b) => b.task.split('/')[0]),
              ).size
            }{' '}
            builds on the board
          </Soft>
          <Box ml="auto" display="flex" gap={2}>
            <QuietButton onClick={() => setPage(page - 1)} disabled={view.first === 0}>
              Week back
            </QuietButton>
            <QuietButton onClick={() => setPage(0)} disabled={page === 0}>
              Now
            </QuietButton>
            <QuietButton
              onClick={() => setPage(page + 1)}
              disabled={view.first + span + perWeek > data.calendar.days.length}
            >
              Week on
            </QuietButton>
          </Box>
        </Box>
        <Box overflow="auto" flex={1} minH={0} bg="sheet" tabIndex={0} role="region" aria-label="Board">
          <Box display="grid" gridTemplateColumns="96px minmax(760px,1fr)" minW="860px">
            <Box height={`${HEAD}px`} />
            <Box display="grid" gridTemplateColumns={`repeat(${span}, 1fr)`} height={`${HEAD}px`}>
              {view.days.map((d, i) => {
                const weather = data.days.find((x) => x.day === d)?.weather ?? '';
                return (
                  <Box
                    key={d}
                    px={2}
                    pt={2}
                    borderLeft={i === perWeek ? '2px solid' : '1px solid'}
                    borderColor={i === perWeek ? 'ink' : 'hair'}
                    bg={d === data.today ? 'tape' : undefined}
                    color={d === data.today ? 'tapeink' : undefined}
                    lineHeight={1.2}
                  >
                    <Box className="cond" fontSize="14.5px" whiteSpace="nowrap">
                      {shortDay(d).split(' ').slice(0, 2).join(' ')}
                    </Box>
                    <Box
                      fontSize="12.5px"
                      color={d === data.today ? 'tapeink' : /rain|wind/.test(weather) ? 'chalk' : 'soft'}
                    >
                      {weather}
                    </Box>
                  </Box>
                );
              })}
            </Box>
          </Box>
          <DndContext
            sensors={sensors}
            onDragEnd={onDragEnd}
            accessibility={{
              screenReaderInstructions: {
                draggable: 'Press to take a block in hand, then arrow keys move it by a day or to another row.',
              },
            }}
          >
            <Box
              display="grid"
              gridTemplateColumns="96px minmax(760px,1fr)"
              minW="860px"
              borderTop="1px solid"
              borderColor="rule"
            >
              <Box>
                {view.rows.map(({ row, lanes }) => (
                  <Box
                    key={row.id}
                    height={`${lanes * LANE + 8}px`}
                    borderBottom="1.5px solid"
                    borderColor="rule"
                    px={3}
                    pt={3}
                    className="cond"
                    fontSize="15px"
                  >
                    {row.name}
                  </Box>
                ))}
              </Box>
              <Box ref={grid} position="relative">
                {view.days.map((d, i) => (
                  <Box
                    key={d}
                    position="absolute"
                    top={0}
                    bottom={0}
                    left={`${(100 * i) / span}%`}
                    width={`${100 / span}%`}
                    borderLeft={i === perWeek ? '2px solid' : '1px solid'}
                    borderColor={i === perWeek ? 'ink' : 'hair'}
                    bg={/rain/.test(data.days.find((x) => x.day === d)?.weather ?? '') ? 'paper' : undefined}
                  />
                ))}
                {view.todayIndex >= view.first && view.todayIndex < view.first + span && (
                  <Box
                    position="absolute"
                    top={0}
                    bottom={0}
                    left={`${(100 * (view.todayIndex - view.first)) / span}%`}
                    width="3px"
                    bg="keel"
                    zIndex={1}
                  />
                )}
                {view.rows.map(({ row, drawn, lanes }) => (
                  <Box
                    key={row.id}
                    position="relative"
                    height={`${lanes * LANE + 8}px`}
                    borderBottom="1.5px solid"
                    borderColor="rule"
                    data-row={row.id}
                  >
                    {drawn.map((d) => {
                      // In parts of the row, not in pixels: paper is not as wide as the screen.
                      const part = (minutes: number): string => `${(100 * minutes) / (view.to - view.from)}%`;
                      return (
                        <Box key={d.op.id} display="contents">
                          {d.dryUntil > d.block.end && (
                            <Box
                              className="drying"
                              position="absolute"
                              left={part(d.block.end - view.from)}
                              top={`${d.lane * LANE + 3}px`}
                              height="44px"
                              width={part(Math.max(0, Math.min(d.dryUntil, view.to) - d.block.end))}
                              aria-hidden="true"
                            />
                          )}
                          <BlockTile
                            d={d}
                            left={part(d.block.start - view.from)}
                            width={part(d.block.end - d.block.start)}
                            late={late.has(d.op.id)}
                            held={held === d.op.id}
                            canMove={office && !d.op.done && !busy}
                            moving={busy && held === d.op.id}
                            onPick={() => setHeld(held === d.op.id ? undefined : d.op.id)}
                          />
                        </Box>
                      );
                    })}
                  </Box>
                ))}
              </Box>
            </Box>
          </DndContext>
          <Box px={4} py={3} color="soft" fontSize="14px" display="flex" gap={5} alignItems="center">
            <Box as="span" display="inline-flex" alignItems="center" gap={2}>
              <Box className="drying" width="34px" height="16px" /> drying
            </Box>
            <Box as="span" display="inline-flex" alignItems="center" gap={2}>
              <Box width="22px" height="16px" border="2px solid" borderColor="keel" /> ends after its day
            </Box>
            {office && (
              <span className="no-print">
                Drag a block, or take it in hand and use the arrow keys. What depends on it follows.
              </span>
            )}
          </Box>
        </Box>
      </Box>
      <PlanSays
        data={data}
        said={said}
        held={heldOp && heldBlock ? { op: heldOp, block: heldBlock } : undefined}
        onPutBack={(undo) => void putBack(undo)}
        onOpen={(id) => void navigate(`/orders/${id}`)}
      />
    </Box>
  );
};
