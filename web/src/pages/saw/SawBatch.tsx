import { Box } from '@chakra-ui/react';
import { useEffect, useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import useSWR from 'swr';
import { findItem } from '@rubbet/core/stock';
import type { ApiError } from '../../data/api.ts';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { BatchData } from '../../data/types.ts';
import { useLive } from '../../data/useLive.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { LengthInput } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Len, Soft } from '../../parts/Text.tsx';
import { BigButton } from '../bench/BigButton.tsx';
import { HoldButton } from '../bench/HoldButton.tsx';
import { feetOf, sizeOf } from '../rack/sizes.ts';
import { RipBar, SheetMap, StickBar } from '../rack/StickBar.tsx';
import { Rip, Stops, Strips } from './HowToCut.tsx';
import { goesTo, isStick, nextStack } from './stacks.ts';

/** The batch at the saw: one stack at a time, the stop above it, one big way forward. */
export const SawBatch = () => {
  const { id = '' } = useParams();
  const show = useShow();
  const { me, error: signedOut } = useMe();
  useLive(me !== undefined);
  const { tell, fail } = useNotice();
  const { data: batch, error, mutate } = useSWR<BatchData, ApiError>(me ? `/batches/${id}` : null);
  const [single, setSingle] = useState(false);
  const [bad, setBad] = useState<ReadonlyMap<number, ReadonlySet<number>>>(new Map());
  const [panel, setPanel] = useState<'none' | 'short' | 'left'>('none');
  const [there, setThere] = useState('');
  const [left, setLeft] = useState<number>();
  const [busy, setBusy] = useState(false);
  const lines = batch ? nextStack(batch.list, single) : [];
  const first = lines[0];
  const key = lines.map((l) => `${l.id} ${l.version}`).join();
  useEffect(() => {
    setBad(new Map());
    setPanel('none');
    setThere('');
    setLeft(undefined);
  }, [key]);
  if (signedOut) return <Navigate to="/sign-in" replace />;
  if (error && !batch) throw error;
  if (!batch || !me) return <Loading />;
  const send = async (path: string, body: object, said?: string): Promise<void> => {
    setBusy(true);
    try {
      await mutate(await api<BatchData>(`/batches/${id}${path}`, { method: 'POST', body }), { revalidate: false });
      if (said) tell(said);
    } catch (e) {
      fail(e);
      // What somebody else has done meanwhile is seen at once.
      await mutate();
    } finally {
      setBusy(false);
    }
  };
  const spoiled = [...bad.values()].reduce((n, s) => n + s.size, 0);
  const cut = (): Promise<void> =>
    send(
      '/cuts',
      {
        lines: lines.map((l) => ({
          id: l.id,
          version: l.version,
          ...(bad.get(l.id)?.size ? { spoiled: [...(bad.get(l.id) ?? [])] } : {}),
          ...(left !== undefined && lines.length === 1 ? { left } : {}),
        })),
      },
      spoiled > 0 ? 'What is no good is planned anew from other wood.' : undefined,
    );
  const toggle = (line: number, k: number): void => {
    const mine = new Set(bad.get(line) ?? []);
    if (mine.has(k)) mine.delete(k);
    else mine.add(k);
    setBad(new Map(bad).set(line, mine));
  };
  const last = [...batch.list]
    .filter((l) => l.state === 'cut')
    .sort((a, b) => (b.cutAt ?? '').localeCompare(a.cutAt ?? '') || b.seq - a.seq)[0];
  const longest = Math.max(...lines.filter((l) => l.kind === 'stick').map((l) => l.length), 1);
  const after = nextStack(
    batch.list.filter((l) => !lines.includes(l)),
    true,
  )[0];
  return (
    <Box height="100%" display="grid" gridTemplateRows="auto minmax(0,1fr) auto" bg="paper" data-saw={batch.id}>
      <Box
        bg="rail"
        color="railtext"
        px={4}
        py={2}
        display="flex"
        gap={4}
        alignItems="center"
        flexWrap="wrap"
        className="rail"
      >
        <Link to={`/rack/saw/${id}`} style={{ color: 'inherit', fontWeight: 600 }}>
          ← Batch {batch.id}
        </Link>
        <span className="cond" style={{ fontSize: 18 }}>
          {batch.title}
        </span>
        <Box flex="1 1 120px" height="8px" bg="railon" aria-hidden="true">
          <Box height="100%" bg="tape" width={`${batch.lines === 0 ? 0 : (100 * batch.linesCut) / batch.lines}%`} />
        </Box>
        <span className="num">
          {batch.linesCut} of {batch.lines}
        </span>
      </Box>
      <Box overflowY="auto" px={{ base: 3, md: 5 }} py={4}>
        {first === undefined ? (
          <Empty>
            {batch.state === 'planning'
              ? 'This batch is being planned.'
              : 'Everything of this batch is cut. Carry the bundles to their bays.'}
          </Empty>
        ) : (
          <>
            <Box display="flex" gap={5} alignItems="baseline" flexWrap="wrap" mb={3}>
              <Box className="cond" fontSize="34px" lineHeight={1.1} data-stick={first.id}>
                {lines.length > 1 ? `${lines.length} × ` : ''}
                {findItem(first.item).name} {isStick(first) ? feetOf(show, first.length) : sizeOf(show, first)}
              </Box>
              <Box fontSize="18px">
                {first.dropOf !== null
                  ? `what was cut out of ${first.dropOf}`
                  : first.stock === null
                    ? first.ripped
                      ? 'one that you have ripped'
                      : 'not on the rack when it was planned: take what has come'
                    : first.stock.mark !== ''
                      ? `offcut ${first.stock.mark}${first.stock.place === '' ? '' : `, at ${first.stock.place}`}`
                      : `from ${first.stock.place || 'the rack'}`}
              </Box>
              {lines.length > 1 && <QuietButton onClick={() => setSingle(true)}>One at a time</QuietButton>}
              {single && <QuietButton onClick={() => setSingle(false)}>Stack them</QuietButton>}
            </Box>
            {first.kind === 'stick' && <Stops lines={lines} />}
            {first.kind === 'roll' && <Strips line={first} />}
            {first.kind === 'rip' && <Rip line={first} />}
            <Box mt={5} display="grid" gap={3}>
              {lines.map((l) =>
                l.kind === 'rip' ? (
                  <RipBar key={l.id} line={l} />
                ) : l.kind === 'stick' ? (
                  <StickBar
                    key={l.id}
                    line={l}
                    longest={longest}
                    high={76}
                    bad={bad.get(l.id) ?? new Set()}
                    onPiece={(k) => toggle(l.id, k)}
                  />
                ) : (
                  <SheetMap key={l.id} line={l} bad={bad.get(l.id) ?? new Set()} onPiece={(k) => toggle(l.id, k)} />
                ),
              )}
            </Box>
            <Box mt={2}>
              {first.kind !== 'rip' && <Soft>Tap a piece that is no good: it is cut again from other wood.</Soft>}
            </Box>
            <Box mt={4} display="grid" gridTemplateColumns="repeat(auto-fill, minmax(260px, 1fr))" gap={2}>
              {goesTo(first).map(({ part: x, piece: p, count }) => (
                <Box key={x.part} borderLeft="4px solid" borderColor="woodedge" pl={2} fontSize="15px">
                  {count > 1 ? `${count} × ` : ''}
                  <b>{x.mark}</b> → {x.order} {x.panel}
                  {x.rip === undefined ? (
                    ''
                  ) : (
                    <>
                      , ripped to <Len inches={x.rip} />
                    </>
                  )}
                  {first.kind === 'stick' && x.length < p.length - 1e-6 && (
                    <>
                      , then to <Len inches={x.length} />
                    </>
                  )}
                  {x.ends ? <Soft> · {show.text(x.ends)}</Soft> : null}
                </Box>
              ))}
            </Box>
            <Box mt={4} display="flex" gap={6} flexWrap="wrap">
              <Box hidden={first.kind === 'rip'}>
                {first.rests.length === 0 ? (
                  <Soft>{first.kind === 'roll' ? 'What is left is for patches.' : 'What is left is firewood.'}</Soft>
                ) : (
                  first.rests.map((r, i) => (
                    <Box key={i}>
                      Left:{' '}
                      <b>
                        <Len inches={r.length} />
                        {r.width === undefined ? (
                          ''
                        ) : (
                          <>
                            {' '}
                            × <Len inches={r.width} />
                          </>
                        )}
                      </b>{' '}
                      <Soft>back to the rack, with a mark</Soft>
                    </Box>
                  ))
                )}
              </Box>
              {after && (
                <Soft>
                  Next: {findItem(after.item).name} {isStick(after) ? feetOf(show, after.length) : sizeOf(show, after)}
                  {after.stock?.place ? ` from ${after.stock.place}` : ''}
                </Soft>
              )}
            </Box>
            {panel === 'short' && first.stock && (
              <Box
                mt={4}
                bg="amberwash"
                borderLeft="5px solid"
                borderColor="amber"
                px={4}
                py={3}
                display="flex"
                gap={3}
                alignItems="end"
                flexWrap="wrap"
              >
                <label>
                  <Box fontSize="15px">How many of these are there?</Box>
                  <input
                    inputMode="numeric"
                    aria-label="How many are there"
                    value={there}
                    onChange={(e) => setThere(e.target.value.replace(/\D/g, ''))}
                    style={{
                      width: 110,
                      fontSize: 22,
                      padding: '6px 10px',
                      border: '1px solid currentColor',
                      background: 'transparent',
                    }}
                  />
                </label>
                <Button
                  disabled={there === '' || busy}
                  onClick={() =>
                    void send(
                      '/short',
                      { version: batch.version, stock: first.stock?.id, there: Number(there) },
                      'It is counted, and the rest is planned anew from what there is.',
                    )
                  }
                >
                  Plan without them
                </Button>
              </Box>
            )}
            {panel === 'left' && lines.length === 1 && first.kind === 'stick' && (
              <Box
                mt={4}
                bg="chalkwash"
                borderLeft="5px solid"
                borderColor="chalk"
                px={4}
                py={3}
                display="flex"
                gap={3}
                alignItems="end"
              >
                <Box width="160px">
                  <Box fontSize="15px">What is left of it</Box>
                  <LengthInput
                    label="What is left of it"
                    value={left ?? first.rests[0]?.length}
                    min={0}
                    max={first.length}
                    onChange={setLeft}
                  />
                </Box>
              </Box>
            )}
          </>
        )}
      </Box>
      <Box
        display="grid"
        gridTemplateColumns={{ base: '1fr 1fr', md: '200px 200px 200px 1fr' }}
        borderTop="2px solid"
        borderColor="ink"
      >
        <BigButton
          disabled={!first?.stock || busy}
          onClick={() => setPanel(panel === 'short' ? 'none' : 'short')}
          aria-expanded={panel === 'short'}
        >
          Not there
          <Box fontFamily="body" fontSize="15px" color="soft" fontWeight={400}>
            fewer than the book says
          </Box>
        </BigButton>
        <BigButton
          disabled={lines.length !== 1 || first?.kind !== 'stick' || busy}
          onClick={() => setPanel(panel === 'left' ? 'none' : 'left')}
          aria-expanded={panel === 'left'}
        >
          Other rest
          <Box fontFamily="body" fontSize="15px" color="soft" fontWeight={400}>
            {left === undefined ? 'measure what is left' : <Len inches={left} />}
          </Box>
        </BigButton>
        {last ? (
          <HoldButton
            onHeld={() => void send(`/lines/${last.id}/undo`, { version: last.version, why: 'taken back at the saw' })}
          >
            <Box fontSize="18px">Hold: take back</Box>
            <Box fontFamily="body" fontSize="14px" fontWeight={400}>
              {findItem(last.item).name} {isStick(last) ? feetOf(show, last.length) : ''}
            </Box>
          </HoldButton>
        ) : (
          <BigButton disabled>Nothing cut yet</BigButton>
        )}
        <BigButton
          data-cut
          disabled={first === undefined || busy}
          onClick={() => void cut()}
          fontSize="28px"
          bg={first === undefined ? 'sheet' : 'chalkfill'}
          color={first === undefined ? 'soft' : '#fff'}
        >
          {first === undefined
            ? 'All cut'
            : lines.length > 1
              ? `These ${lines.length} are ${first.kind === 'rip' ? 'ripped' : 'cut'}`
              : first.kind === 'rip'
                ? 'This stick is ripped'
                : `This ${first.kind} is cut`}
          {spoiled > 0 && (
            <Box fontSize="16px" fontWeight={500}>
              {spoiled} of the pieces no good
            </Box>
          )}
        </BigButton>
      </Box>
    </Box>
  );
};
