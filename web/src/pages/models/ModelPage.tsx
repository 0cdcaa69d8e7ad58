import { Box } from '@chakra-ui/react';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import useSWR from 'swr';
import { drawBuild } from '@rubbet/core/draw';
import { printMinutes } from '@rubbet/core/measure';
import { buildSpec, findFamily } from '@rubbet/core/model';
import { api } from '../../data/api.ts';
import { shortDay } from '../../data/days.ts';
import { useMe } from '../../data/hooks.ts';
import type { ModelDetail } from '../../data/types.ts';
import { ChoiceButton, LinkButton } from '../../parts/Button.tsx';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Heading, Soft, Title } from '../../parts/Text.tsx';
import { Difference } from '../../parts/Difference.tsx';
import { RangeEditor } from './RangeEditor.tsx';
import { isOffice } from '../../data/roles.ts';
import { useShow } from '../../data/useShow.tsx';

const VIEWS = ['three', 'front', 'right', 'section', 'plan'] as const;
const NAMES: Record<(typeof VIEWS)[number], string> = {
  three: 'in the round',
  front: 'front',
  right: 'right',
  section: 'section',
  plan: 'plan',
};

/** One standard model: its drawings, its revisions compared part by part, what a seller may change, its file. */
export const ModelPage = () => {
  const show = useShow();
  const { id = '' } = useParams();
  const { data: model, error, mutate } = useSWR<ModelDetail, Error>(`/models/${id}`);
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const [view, setView] = useState<(typeof VIEWS)[number]>('three');
  const [pair, setPair] = useState<readonly [number, number]>();
  const newest = model?.revision ?? 1;
  const [from, to] = pair ?? [Math.max(1, newest - 1), newest];
  const build = useMemo(() => (model ? buildSpec(model.spec) : undefined), [model]);
  const drawing = useMemo(() => (build ? drawBuild(build, view) : undefined), [build, view]);
  const compared = useMemo(() => {
    const of = (n: number) => model?.revisions.find((r) => r.number === n)?.spec;
    const [a, b] = [of(from), of(to)];
    return a && b && from !== to ? ([buildSpec(a), buildSpec(b)] as const) : undefined;
  }, [model, from, to]);
  if (error && !model) throw error;
  if (!model || !build) return <Loading />;
  const s = model.summary;
  const saveRanges = async (ranges: ModelDetail['ranges']): Promise<void> => {
    try {
      const next = await api<ModelDetail>(`/models/${model.id}`, {
        method: 'PATCH',
        body: { version: model.version, ranges },
      });
      await mutate(next, { revalidate: false });
      tell('What a seller may change is kept.');
    } catch (e) {
      fail(e);
    }
  };
  const exportFile = async (): Promise<void> => {
    try {
      const file = await api<Record<string, unknown>>(`/models/${model.id}/file`);
      const url = URL.createObjectURL(new Blob([JSON.stringify(file, null, 2)], { type: 'application/json' }));
      const a = document.createElement('a');
      a.href = url;
      a.download = `${model.name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.model.json`;
      a.click();
      URL.revokeObjectURL(url);
    } catch (e) {
      fail(e);
    }
  };
  return (
    <Box p={6} pb={16}>
      <Box display="flex" alignItems="baseline" gap={4} mb={4}>
        <LinkButton asChild>
          <Link to="/models">Models</Link>
        </LinkButton>
        <Title>{model.name}</Title>
        <Soft>
          {findFamily(model.family)?.title} · revision {model.revision}
        </Soft>
        {isOffice(me) && (
          <Box ml="auto">
            <LinkButton as="button" onClick={() => void exportFile()}>
              Export the model file
            </LinkButton>
          </Box>
        )}
      </Box>
      <p>{show.text(model.purpose)}</p>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: 'minmax(0,1fr) 430px' }} gap={8} mt={3}>
        <Box minW={0}>
          <Box className="dots" bg="sheet" height="430px" p={3} border="1px solid" borderColor="hair">
            {drawing && <DrawingView drawing={drawing} pixels={720} label={`${model.name}, ${NAMES[view]}`} />}
          </Box>
          <Box display="flex" gap={1} mt={2}>
            {VIEWS.map((v) => (
              <ChoiceButton key={v} aria-pressed={v === view} onClick={() => setView(v)}>
                {NAMES[v]}
              </ChoiceButton>
            ))}
          </Box>
          <Box display="grid" gridTemplateColumns={{ base: 'repeat(2,1fr)', sm: 'repeat(5,1fr)' }} gap={4} mt={5}>
            <Figure label="Birds" value={String(s.firstAt ?? s.birds)}>
              {s.firstLimit ? `then the ${s.firstLimit} is full` : ''}
            </Figure>
            <Figure label="Weight" value={show.weight(s.weight)}>
              {`tips in wind of ${show.speed(Math.floor(s.tipSpeed))}`}
            </Figure>
            <Figure label="Bench" value={printMinutes(s.benchMinutes)}>
              {`${s.sticks} sticks, ${s.sheets} sheets`}
            </Figure>
            {s.price !== undefined && (
              <>
                <Figure label="Material" value={show.money(s.material, true)}>
                  {`${Math.round(s.waste * 100)} % waste`}
                </Figure>
                <Figure label="Price" value={show.money(s.price, true)}>
                  before tax and delivery
                </Figure>
              </>
            )}
          </Box>
        </Box>
        <Box minW={0}>
          <Heading mb={1}>Revisions</Heading>
          <table>
            <thead>
              <tr>
                <th className="num">No.</th>
                <th>What changed</th>
                <th>Made by</th>
                {s.price !== undefined && <th className="num">Price</th>}
              </tr>
            </thead>
            <tbody>
              {[...model.revisions].reverse().map((r) => (
                <tr key={r.number} data-revision={r.number}>
                  <td className="num cond">{r.number}</td>
                  <td>{r.note}</td>
                  <td>
                    {r.madeBy.split(' ')[0]} {shortDay(r.madeAt.slice(0, 10))}
                  </td>
                  {s.price !== undefined && <td className="num">{show.money(r.summary.price, true)}</td>}
                </tr>
              ))}
            </tbody>
          </table>
          {model.revisions.length > 1 && (
            <Box mt={5}>
              <Box display="flex" alignItems="center" gap={2} mb={2}>
                <Heading>From</Heading>
                {model.revisions.map((r) => (
                  <ChoiceButton
                    key={r.number}
                    aria-pressed={r.number === from}
                    aria-label={`From revision ${r.number}`}
                    onClick={() => setPair([r.number, to])}
                  >
                    {r.number}
                  </ChoiceButton>
                ))}
                <Heading>to</Heading>
                {model.revisions.map((r) => (
                  <ChoiceButton
                    key={r.number}
                    aria-pressed={r.number === to}
                    aria-label={`To revision ${r.number}`}
                    onClick={() => setPair([from, r.number])}
                  >
                    {r.number}
                  </ChoiceButton>
                ))}
              </Box>
              {compared ? (
                <Difference before={compared[0]} after={compared[1]} />
              ) : (
                <Soft>Choose two different revisions.</Soft>
              )}
            </Box>
          )}
          <RangeEditor
            key={model.version}
            family={model.family}
            params={model.spec.params}
            ranges={model.ranges}
            editable={isOffice(me)}
            onSave={(ranges) => void saveRanges(ranges)}
          />
        </Box>
      </Box>
    </Box>
  );
};
