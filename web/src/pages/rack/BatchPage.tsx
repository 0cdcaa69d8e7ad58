import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import useSWR, { mutate as mutateAll } from 'swr';
import { bundlesOf } from '@rubbet/core/saw';
import { findItem } from '@rubbet/core/stock';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import { isInShop, isOffice } from '../../data/roles.ts';
import type { BatchData, BatchLine, JobData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { TapeProgress } from '../../parts/TapeProgress.tsx';
import { Figure, Heading, Soft } from '../../parts/Text.tsx';
import { isStick } from '../saw/stacks.ts';
import { feetOf, sizeOf } from './sizes.ts';
import { SheetMap, StickBar } from './StickBar.tsx';

const ASK_MS = 700;

/** How a batch's plan comes along, while it does. */
const Planning = ({ batch, job, onStop }: { batch: BatchData; job: JobData | undefined; onStop: () => void }) => (
  <Box display="flex" gap={4} alignItems="center" flexWrap="wrap" mb={5} data-planning>
    <Box flex="1 1 260px" maxW="460px">
      <TapeProgress part={job?.progress ?? 0} name={job?.note ?? 'Planning'} />
      <Soft>{job?.note === undefined || job.note === '' ? 'Waiting for its turn' : job.note} …</Soft>
    </Box>
    <QuietButton onClick={onStop}>{batch.figures === null ? 'Stop it' : 'That is good enough'}</QuietButton>
  </Box>
);

const countOf = (n: number, what: string): string => `${n} ${what}${n === 1 ? '' : 's'}`;

/** What a batch comes to. */
const Figures = ({ batch, office }: { batch: BatchData; office: boolean }) => {
  const show = useShow();
  const f = batch.figures;
  if (!f) return null;
  const fromRack = batch.list.filter((l) => l.stock !== null).length;
  const offcuts = batch.list.filter((l) => l.stock !== null && l.stock.mark !== '').length;
  const shared = batch.list.filter((l) => l.kind !== 'sheet').reduce((n, l) => n + l.cost, 0);
  const over = f.cost - f.costBound;
  return (
    <Box display="grid" gridTemplateColumns="repeat(auto-fit, minmax(150px, 1fr))" gap={5} mb={6}>
      <Figure label="Cut" value={`${batch.linesCut} of ${batch.lines}`}>
        {countOf(f.sticks, 'stick')}, {countOf(f.sheets, 'sheet')} and {countOf(f.rolls ?? 0, 'roll')} were planned
      </Figure>
      <Figure label="From the rack" value={fromRack}>
        {offcuts === 0
          ? 'none of them offcuts'
          : offcuts === 1
            ? 'one of them an offcut'
            : `${offcuts} of them offcuts`}
      </Figure>
      <Figure label="The stop is set" value={`${f.moves} times`}>
        for {f.pieces} pieces
      </Figure>
      {office && (
        <Figure label="Wood" value={show.money(f.cost)}>
          {f.proved ? 'no plan costs less' : `within ${show.money(over)} of the least that any plan can cost`}
        </Figure>
      )}
      {office && (f.costMesh ?? 0) > 0 && <Figure label="Mesh" value={show.money(f.costMesh ?? 0)} />}
      {office && batch.orders.length > 1 && f.costApart > shared && batch.linesCut === 0 && (
        <Figure label="Cut together" value={show.money(f.costApart - shared)} tone="moss">
          less in sticks and mesh than each order by itself from the yard
        </Figure>
      )}
      {f.waiting > 0 && (
        <Figure label="Not in it" value={f.waiting}>
          {f.waiting === 1 ? 'piece is' : 'pieces are'} measured in place first, and cut at the bench
        </Figure>
      )}
    </Box>
  );
};

const Line = ({ line, longest }: { line: BatchLine; longest: number }) => {
  const show = useShow();
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: 'minmax(0,1fr)', md: '210px minmax(0,1fr)' }}
      gap={{ base: '2px', md: 3 }}
      alignItems="center"
      mb={2}
      data-line={line.id}
      data-state={line.state}
    >
      <Box>
        <span className="cond" style={{ fontSize: 16 }}>
          {line.state === 'cut' ? '✓ ' : ''}
          {findItem(line.item).name} {isStick(line) ? feetOf(show, line.length) : sizeOf(show, line)}
        </span>{' '}
        <Soft>
          {line.dropOf !== null
            ? `cut out of ${line.dropOf}`
            : line.stock === null
              ? line.ripped
                ? 'ripped before'
                : 'to buy'
              : [line.stock.mark, line.stock.place].filter(Boolean).join(' at ') || 'on the rack'}
        </Soft>
      </Box>
      {line.kind === 'rip' ? (
        <Soft>
          ripped into {line.rests.length} × {findItem(line.rests[0]?.item ?? line.item).name}
        </Soft>
      ) : line.kind === 'stick' ? (
        <StickBar line={line} longest={longest} />
      ) : (
        <SheetMap line={line} />
      )}
    </Box>
  );
};

/** A batch: what it comes to, what is bought for it, every stick in its turn, and the bundles that its pieces go into. */
export const BatchPage = () => {
  const { id = '' } = useParams();
  const show = useShow();
  const go = useNavigate();
  const ask = useAsk();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const {
    data: batch,
    error,
    mutate,
  } = useSWR<BatchData, Error>(`/batches/${id}`, {
    refreshInterval: (now) => (now?.state === 'planning' || now?.job != null ? ASK_MS : 0),
  });
  const { data: job } = useSWR<JobData, Error>(batch?.job == null ? null : `/jobs/${batch.job}`, {
    refreshInterval: ASK_MS,
  });
  const bundles = useMemo(() => bundlesOf(batch?.list ?? []), [batch]);
  if (error && !batch) throw error;
  if (!batch) return <Loading />;
  const office = isOffice(me);
  const may = isInShop(me);
  const longest = Math.max(96, ...batch.list.filter((l) => l.kind === 'stick').map((l) => l.length));
  const open = batch.list.filter((l) => l.state === 'open');
  const done = batch.list.filter((l) => l.state === 'cut');
  const act = (work: Promise<unknown>, said?: string): void => {
    work
      .then(() => {
        if (said) tell(said);
        return mutate();
      })
      .catch((e: unknown) => {
        fail(e);
        void mutate();
      });
  };
  const drop = async (): Promise<void> => {
    const answer = await ask({
      title: 'Give this batch up?',
      lines: ['What it had spoken for on the rack is free again. Nothing of it is cut yet.'],
      yes: 'Give it up',
    });
    if (!answer) return;
    try {
      await api(`/batches/${id}`, { method: 'DELETE', body: { version: batch.version } });
      await mutateAll('/batches');
      await go('/rack/saw');
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box data-batch={batch.id} data-state={batch.state}>
      <Box display="flex" gap={3} alignItems="center" flexWrap="wrap" mb={4}>
        <Box flex="1 1 260px">
          <Heading>
            Batch {batch.id}: {batch.title}
          </Heading>
          <Soft>
            {batch.orders.map((o, i) => (
              <span key={o.id}>
                {i > 0 && ', '}
                <Link to={`/orders/${o.id}`}>
                  {o.id} {o.title}
                </Link>
                {o.units && ` units ${o.units[0]} to ${o.units[1]}`}
              </span>
            ))}
          </Soft>
        </Box>
        {batch.state !== 'dropped' && batch.list.length > 0 && (
          <LinkButton href={`/api/batches/${id}/batch.pdf`} target="_blank">
            On paper
          </LinkButton>
        )}
        {batch.state !== 'dropped' && batch.list.length > 0 && (
          <LinkButton href={`/api/batches/${id}/labels.pdf`} target="_blank">
            Labels
          </LinkButton>
        )}
        {may && done.length === 0 && batch.state !== 'dropped' && (
          <QuietButton onClick={() => void drop()}>Give it up</QuietButton>
        )}
        {may && (open.length > 0 || batch.state === 'planning') && batch.job === null && (
          <QuietButton
            onClick={() =>
              act(
                api(`/batches/${id}/plan`, { method: 'POST', body: { version: batch.version } }),
                'It is planned anew from what is on the rack now.',
              )
            }
          >
            {batch.state === 'planning' ? 'Plan it now' : 'Plan anew from the rack'}
          </QuietButton>
        )}
        {may && open.length > 0 && batch.state !== 'planning' && (
          <Button onClick={() => void go(`/saw/${id}`)}>To the saw</Button>
        )}
      </Box>
      {batch.job !== null && (
        <Planning
          batch={batch}
          job={job}
          onStop={() => act(api(`/jobs/${batch.job ?? 0}`, { method: 'DELETE' }), 'The plan stays as it is now.')}
        />
      )}
      <Figures batch={batch} office={office} />
      {(batch.figures?.unplaced ?? []).length > 0 && (
        <Box bg="keelwash" borderLeft="5px solid" borderColor="keel" px={3} py={2} mb={5} role="alert">
          <b>Some pieces have no stick:</b>
          {batch.figures?.unplaced.map((u, i) => (
            <Box key={i}>
              Order {u.order}, {u.mark}: {u.why}
            </Box>
          ))}
        </Box>
      )}
      {(batch.figures?.buy ?? []).length > 0 && batch.state !== 'done' && (
        <Box mb={6} maxW="640px">
          <Heading mb={1}>To be there before it is cut</Heading>
          <Box mb={2}>
            <Soft>Not on the rack, or spoken for by another batch.</Soft>
          </Box>
          <table>
            <thead>
              <tr>
                <th>Item</th>
                <th>Size</th>
                <th className="num">How many</th>
                {office && <th className="num">Cost</th>}
              </tr>
            </thead>
            <tbody>
              {batch.figures?.buy.map((b) => (
                <tr key={`${b.item} ${b.length}`}>
                  <td>{findItem(b.item).name}</td>
                  <td>{sizeOf(show, b)}</td>
                  <td className="num cond">{b.count}</td>
                  {office && <td className="num">{show.money(b.cost)}</td>}
                </tr>
              ))}
            </tbody>
          </table>
        </Box>
      )}
      {open.length > 0 && (
        <Box mb={6}>
          <Heading mb={2}>In the order of the saw</Heading>
          {open.map((l) => (
            <Line key={l.id} line={l} longest={longest} />
          ))}
        </Box>
      )}
      {batch.state === 'planning' && batch.job === null && (
        <Empty>Its planning was stopped before there was a plan.</Empty>
      )}
      {batch.list.length === 0 && batch.state !== 'planning' && (
        <Empty>Nothing of these orders is left to cut: it is cut, in another batch, or measured in place first.</Empty>
      )}
      {bundles.length > 0 && (
        <Box mb={6}>
          <Heading mb={1}>Bundles</Heading>
          <Box mb={2}>
            <Soft>One for every panel: what comes off the saw is sorted into these.</Soft>
          </Box>
          <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(250px, 1fr))" gap={3}>
            {bundles.map((b) => (
              <Box
                key={b.key}
                borderLeft="4px solid"
                borderColor={b.cut === b.pieces ? 'moss' : 'rule'}
                pl={2}
                data-bundle={b.key}
              >
                <span className="cond">
                  {b.order} · {b.panel}
                </span>
                <Box>
                  <Soft>
                    {b.cut === b.pieces ? 'all there' : `${b.cut} of ${b.pieces} there`}: {b.marks.join(', ')}
                  </Soft>
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
      )}
      {done.length > 0 && (
        <Box>
          <Heading mb={2}>Cut</Heading>
          {done.map((l) => (
            <Line key={l.id} line={l} longest={longest} />
          ))}
        </Box>
      )}
    </Box>
  );
};
