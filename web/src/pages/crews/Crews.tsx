import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api } from '../../data/api.ts';
import { longDay, shortDay } from '../../data/days.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { BoardData, BoardOperation, MoveData } from '../../data/types.ts';
import { Button, ChoiceButton, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { Title } from '../../parts/Text.tsx';
import { useNarrow } from '../../parts/useNarrow.ts';
import { BoardGrid } from './BoardGrid.tsx';
import type { Held, Over } from './BoardGrid.tsx';
import { clock } from './clock.ts';
import { DayList } from './DayList.tsx';
import { firstOf, layBoard, makeAxis, VIEWS, ZOOMS } from './layBoard.ts';
import { askOf, clashAt, momentAfter, workdayAfter } from './moving.ts';
import type { View, Zoom } from './layBoard.ts';
import { PlanSays } from './PlanSays.tsx';
import type { Said } from './PlanSays.tsx';

type Moment = { readonly day: string; readonly minute: number };

/** The crew board: time across, places and people down; a block moved takes along what waits for it. */
export const Crews = () => {
  const { data, error, mutate } = useBoard();
  const { me } = useMe();
  const narrow = useNarrow();
  const navigate = useNavigate();
  const [zoom, setZoom] = useState<Zoom>('two weeks');
  const [view, setView] = useState<View>('the shop');
  const [page, setPage] = useState(0);
  const [search, setSearch] = useState('');
  const [held, setHeld] = useState<Held>();
  const [said, setSaid] = useState<Said>();
  const [over, setOver] = useState<Over>();
  const [busy, setBusy] = useState(false);
  const laid = useMemo(() => {
    if (!data) return undefined;
    const axis = makeAxis(data, zoom, page);
    return { axis, rows: layBoard(data, axis, view) };
  }, [data, zoom, page, view]);

  if (error && !data) throw error;
  if (data && narrow) return <DayList data={data} />;
  if (!data || !laid) return <Loading />;
  const { axis, rows } = laid;
  const office = isOffice(me);
  const find = (task: string | undefined): BoardOperation | undefined => data.operations.find((o) => o.id === task);

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
  const move = async (op: BoardOperation, visit: number, to: Moment, ask: ReturnType<typeof askOf>): Promise<void> =>
    change(async () => {
      const { moved, before, ...next } = await api<MoveData>('/board/move', {
        method: 'POST',
        body: { task: op.id, version: op.version, visit, day: to.day, minute: to.minute, ...ask },
      });
      await mutate(next, { revalidate: false });
      const others = moved.filter((m) => m !== op.id).length;
      return {
        text: `${op.orderId} ${op.name}${visit > 0 ? `, day ${visit + 1} there,` : ''} begins on ${longDay(to.day)} at ${clock(to.minute)} now. ${others === 0 ? 'Nothing else moved.' : `${others} more ${others === 1 ? 'block' : 'blocks'} moved with it.`}`,
        bad: false,
        undo: before,
      };
    });
  const putBack = (blocks: Said['undo']): Promise<void> =>
    change(async () => {
      await mutate(await api<BoardData>('/board/put-back', { method: 'POST', body: { blocks } }), {
        revalidate: false,
      });
      const n = blocks?.length ?? 0;
      return { text: n === 1 ? 'It stands where it stood.' : `All ${n} blocks stand where they stood.`, bad: false };
    });
  const release = (op: BoardOperation): Promise<void> =>
    change(async () => {
      await mutate(
        await api<BoardData>('/board/release', { method: 'POST', body: { task: op.id, version: op.version } }),
        { revalidate: false },
      );
      return { text: `${op.orderId} ${op.name} is planned with the rest again.`, bad: false };
    });
  const startOf = (op: BoardOperation, visit: number): Moment =>
    op.visits[visit]?.start ?? { day: data.today, minute: data.opens };
  /** Where it would come to stand, and as what. */
  const target = ({ task, visit, row, parts }: Over) => {
    const op = find(task);
    if (!op) return undefined;
    const stays = row.id === held?.row || row.bars.some((b) => b.op.id === task);
    return {
      op,
      visit,
      to: momentAfter(data, axis, startOf(op, visit), parts),
      ask: stays ? {} : askOf(data, row, op, visit),
    };
  };
  const onKey = (e: React.KeyboardEvent): void => {
    const op = find(held?.task);
    if (!held || !op || e.target instanceof HTMLInputElement) return;
    if (e.key === 'Escape') setHeld(undefined);
    if (!office || busy || op.done) return;
    const start = startOf(op, held.visit);
    const side = { ArrowLeft: -1, ArrowRight: 1 }[e.key] ?? 0;
    const down = { ArrowUp: -1, ArrowDown: 1 }[e.key] ?? 0;
    if (side === 0 && down === 0) return;
    e.preventDefault();
    if (down !== 0) {
      const row = rows[rows.findIndex((r) => r.id === held.row) + down];
      if (!row) return;
      setHeld({ ...held, row: row.id });
      void move(op, held.visit, start, askOf(data, row, op, held.visit));
      return;
    }
    const day = e.shiftKey ? start.day : workdayAfter(data, start.day, side);
    if (day === undefined) return;
    void move(op, held.visit, { day, minute: e.shiftKey ? start.minute + 15 * side : start.minute }, {});
  };
  const dragged = over && target(over);
  const name =
    zoom === 'day'
      ? longDay(axis.days[0]?.day ?? data.today)
      : `${zoom === 'week' ? 'The week' : zoom === 'season' ? 'Thirteen weeks' : 'Two weeks'} from ${shortDay(firstOf(data, zoom, page))}`;
  const builds = new Set(rows.flatMap((r) => r.bars.map((b) => b.op.orderId))).size;
  return (
    <Box className="wide-paper" display="grid" gridTemplateColumns="minmax(0,1fr) 288px" height="100%" minH={0}>
      <Box minW={0} display="flex" flexDirection="column" minH={0} onKeyDown={onKey}>
        <Box bg="sheet" px={4} py={2} borderBottom="2px solid" borderColor="ink" flexShrink={0}>
          <Box display="flex" alignItems="baseline" gap={3} flexWrap="wrap">
            <Title fontSize="20px">{name}</Title>
            <Box color="soft" fontSize="14px">
              {builds} {builds === 1 ? 'build' : 'builds'} on the board
            </Box>
            <Box ml="auto" display="flex" gap={2} className="no-print">
              {office && (
                <Button asChild>
                  <Link to="/crews/morning">What came up?</Link>
                </Button>
              )}
              <LinkButton asChild>
                <Link to="/crews/my-day">My day</Link>
              </LinkButton>
              <LinkButton asChild>
                <Link to="/crews/figures">Figures</Link>
              </LinkButton>
              <LinkButton asChild>
                <Link to="/crews/calendars">Calendars</Link>
              </LinkButton>
            </Box>
          </Box>
          <Box display="flex" alignItems="center" gap={3} mt={2} className="no-print" flexWrap="wrap">
            <Box role="group" aria-label="How much is seen" display="flex">
              {ZOOMS.map((z) => (
                <ChoiceButton
                  key={z}
                  aria-pressed={zoom === z}
                  onClick={() => {
                    setZoom(z);
                    setPage(0);
                  }}
                >
                  {z}
                </ChoiceButton>
              ))}
            </Box>
            <Box role="group" aria-label="Rows" display="flex">
              {VIEWS.map((v) => (
                <ChoiceButton key={v} aria-pressed={view === v} onClick={() => setView(v)}>
                  {v}
                </ChoiceButton>
              ))}
            </Box>
            <Box width="130px">
              <Input
                aria-label="Find on the board"
                placeholder="order, work"
                value={search}
                onChange={(e) => setSearch(e.target.value)}
              />
            </Box>
            <Box ml="auto" display="flex" gap={2}>
              <QuietButton
                onClick={() => setPage(page - 1)}
                disabled={page <= -5}
                aria-label={zoom === 'day' ? 'Day back' : 'Week back'}
              >
                ‹
              </QuietButton>
              <QuietButton onClick={() => setPage(0)} disabled={page === 0}>
                Now
              </QuietButton>
              <QuietButton
                onClick={() => setPage(page + 1)}
                disabled={page >= (zoom === 'day' ? 100 : 22)}
                aria-label={zoom === 'day' ? 'Day on' : 'Week on'}
              >
                ›
              </QuietButton>
              <QuietButton onClick={() => window.print()}>Print</QuietButton>
            </Box>
          </Box>
        </Box>
        <BoardGrid
          data={data}
          axis={axis}
          rows={rows}
          zoom={zoom}
          held={held}
          search={search}
          office={office && !busy}
          onPick={(next) =>
            setHeld(held?.task === next.task && held.visit === next.visit && held.row === next.row ? undefined : next)
          }
          onOver={setOver}
          onDrop={(dropped) => {
            const t = target(dropped);
            if (t) void move(t.op, t.visit, t.to, t.ask);
          }}
        />
      </Box>
      <PlanSays
        data={data}
        said={said}
        held={find(held?.task)}
        clash={dragged && clashAt(data, dragged.op, dragged.to, dragged.ask, dragged.visit)}
        onPutBack={(blocks) => void putBack(blocks)}
        onOpen={(id) => void navigate(`/orders/${id}`)}
        {...(office ? { onRelease: (op: BoardOperation) => void release(op) } : {})}
      />
    </Box>
  );
};
