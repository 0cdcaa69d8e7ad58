import { Box } from '@chakra-ui/react';
import { Link, useNavigate } from 'react-router';
import { adviseMoving, sizeFlock } from '@rubbet/core/flock';
import { buildSpec } from '@rubbet/core/model';
import type { Spec } from '@rubbet/core/model';
import useSWR from 'swr';
import { isSame } from '../../data/drafts.ts';
import { useRules } from '../../data/hooks.ts';
import type { Model } from '../../data/types.ts';
import { useKept } from '../../data/useKept.ts';
import { useRanking } from '../../workers/useRanking.ts';
import { useAsk } from '../../parts/Ask.tsx';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { DraftBar } from '../../parts/DraftBar.tsx';
import { Choices, Field, Input } from '../../parts/Fields.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Figure, Heading, Soft, Title } from '../../parts/Text.tsx';
import { compareFlocks, readFlock, typedFlock } from './flock.ts';
import type { TypedFlock } from './flock.ts';
import { useStation } from './OrderPage.tsx';
import { useShow } from '../../data/useShow.tsx';

const NEEDS: Readonly<Record<string, string>> = {
  house: 'house floor',
  roost: 'roost',
  nests: 'nest boxes',
  run: 'run',
  'pen floor': 'pen floor',
};

/** Flock station: how many birds now and in two years, and what they need; what runs out first in the unit in hand. */
export const FlockStation = () => {
  const show = useShow();
  const { order, write, keep } = useStation();
  const { tell, fail } = useNotice();
  const navigate = useNavigate();
  const ask = useAsk();
  const rules = useRules();
  const { data: models } = useSWR<Model[]>('/models');
  const kept = useKept(`order ${order.id} flock`, typedFlock(order.flock));
  const { errors, flock } = readFlock(kept.value);
  const bad = errors.now !== undefined || errors.later !== undefined;
  const set = (change: Partial<TypedFlock>): void => kept.set((f) => ({ ...f, ...change }));
  const spec = order.revision?.spec ?? order.model?.spec;
  const build = spec ? buildSpec(spec) : undefined;
  const sizing = sizeFlock(flock, build?.capacity, rules.check.flock);
  const advice = adviseMoving(flock, order.survey?.pads.slope);
  const ranking = useRanking(flock, models, rules, order.survey?.pads.slope);
  const ranked = ranking.slice(0, 4).flatMap((r) => {
    const model = models?.find((m) => m.id === r.modelId);
    return model ? [{ ...r, model }] : [];
  });
  /** Starts the order's build from a model, or from a size of it that is enough. */
  const start = async (spec: Spec, name: string): Promise<void> => {
    if (order.revision) {
      const answer = await ask({
        title: `Start again from ${name}?`,
        lines: [
          `Revision ${order.revision.number} of this order is drawn already. ${name} comes in its place as revision ${order.revisions.length + 1}.`,
          'What was changed by hand in the drawing is not carried over.',
        ],
        yes: `Start from ${name}`,
      });
      if (!answer) return;
    }
    try {
      const written = await write('', 'PATCH', { version: order.version, flock });
      await write('/revisions', 'POST', { version: written.version, spec, note: `from ${name}` });
      tell(`${name} is the start of this order's build.`);
      void navigate(`/orders/${order.id}/build`);
    } catch (error) {
      fail(error);
    }
  };
  const save = async (): Promise<void> => {
    try {
      await keep(
        '',
        'PATCH',
        (o) => ({ version: o.version, flock }),
        (o) => isSame(o.flock, order.flock),
      );
      tell('The flock is written down.');
      void navigate(`/orders/${order.id}/build`);
    } catch (error) {
      fail(error);
    }
  };
  return (
    <Box p={6} display="grid" gridTemplateColumns={{ base: '1fr', lg: '420px 1fr' }} gap={10} pb={16}>
      <Box>
        <Title mb={4}>Who will live in it</Title>
        <DraftBar kept={kept} both={() => compareFlocks(kept.value, typedFlock(order.flock))} />
        <Box display="grid" gap={4}>
          <Box>
            <Soft>Birds for</Soft>
            <Choices
              label="Birds for"
              value={kept.value.kind}
              onChange={(kind) => set({ kind, ...(kind === 'meat' ? { moves: 'daily', ranging: false } : {}) })}
              choices={[
                { value: 'layers', label: 'Eggs' },
                { value: 'meat', label: 'Meat' },
              ]}
            />
          </Box>
          <Box display="grid" gridTemplateColumns="1fr 1fr" gap={4}>
            {(['now', 'later'] as const).map((key) => (
              <Field key={key} label={key === 'now' ? 'Birds now' : 'Birds in two years'} error={errors[key]}>
                {(id) => (
                  <Input
                    id={id}
                    inputMode="numeric"
                    aria-invalid={errors[key] !== undefined}
                    value={kept.value[key]}
                    onChange={(e) => set({ [key]: e.target.value })}
                  />
                )}
              </Field>
            ))}
          </Box>
          <Box>
            <Soft>Breed</Soft>
            <Choices
              label="Breed"
              value={flock.breed}
              onChange={(breed) => set({ breed })}
              choices={[
                { value: 'standard', label: 'Standard' },
                { value: 'large', label: 'Large' },
                { value: 'bantam', label: 'Bantam' },
              ]}
            />
          </Box>
          <Box>
            <Soft>By day they are</Soft>
            <Choices
              label="By day they are"
              value={flock.ranging}
              onChange={(ranging) => set({ ranging })}
              choices={[
                { value: true, label: 'Out of the run as well' },
                { value: false, label: 'Always inside it' },
              ]}
            />
          </Box>
          <Box>
            <Soft>Moved</Soft>
            <Choices
              label="Moved"
              value={flock.moves}
              onChange={(moves) => set({ moves })}
              choices={[
                { value: 'daily', label: 'Every day or two' },
                { value: 'yearly', label: 'Once or twice a year' },
                { value: 'never', label: 'Never' },
              ]}
            />
          </Box>
          <Box>
            <Soft>Winters</Soft>
            <Choices
              label="Winters"
              value={flock.winters ?? 'mild'}
              onChange={(winters) => set({ winters })}
              choices={[
                { value: 'mild', label: 'Mild' },
                { value: 'hard', label: 'Hard, with snow' },
              ]}
            />
          </Box>
          <Box>
            <Soft>Who moves it</Soft>
            <Choices
              label="Who moves it"
              value={flock.mover}
              onChange={(mover) => set({ mover })}
              choices={[
                { value: 'child', label: 'A child' },
                { value: 'one adult', label: 'One adult' },
                { value: 'two adults', label: 'Two adults' },
                { value: 'vehicle', label: 'A vehicle' },
              ]}
            />
          </Box>
          <Box>
            <Button disabled={bad || kept.standing === 'both'} onClick={() => void save()}>
              Keep the flock, go to Build
            </Button>
          </Box>
        </Box>
      </Box>
      <Box minW={0}>
        <Title mb={1}>{sizing.birds} birds need</Title>
        <Soft>People end up with more birds than they asked for: this is for the larger of the two numbers.</Soft>
        <table style={{ marginTop: 12 }}>
          <thead>
            <tr>
              <th>What</th>
              <th className="num">Each</th>
              <th className="num">Needed</th>
              {build && <th className="num">{order.revision ? 'This build has' : 'The model has'}</th>}
              {build && <th className="num">Enough for</th>}
            </tr>
          </thead>
          <tbody>
            {sizing.limits.map((l) => (
              <tr key={l.what}>
                <td>{NEEDS[l.what]}</td>
                <td className="num">
                  {l.unit === 'nests' ? `1 to ${l.each}` : show.text(`${Math.round(l.each * 10) / 10} ${l.unit}`)}
                </td>
                <td className="num cond">{show.text(`${Math.round(l.need * 10) / 10} ${l.unit}`)}</td>
                {build && (
                  <td className="num">
                    {l.have === undefined ? 'none' : show.text(`${Math.round(l.have * 10) / 10} ${l.unit}`)}
                  </td>
                )}
                {build && (
                  <td
                    className="num cond"
                    style={{
                      color: l.birds !== undefined && l.birds < sizing.birds ? 'var(--rb-colors-keel)' : undefined,
                    }}
                  >
                    {l.birds === undefined ? '' : `${l.birds} birds`}
                  </td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
        {sizing.first && (
          <Box mt={5}>
            <Figure
              label="Runs out first"
              value={`${NEEDS[sizing.first.what]}, at ${sizing.first.birds ?? 0} birds`}
              tone={(sizing.first.birds ?? 0) < sizing.birds ? 'keel' : 'moss'}
            >
              {(sizing.first.birds ?? 0) < sizing.birds
                ? `${sizing.birds - (sizing.first.birds ?? 0)} birds too many for it`
                : `room for ${(sizing.first.birds ?? 0) - sizing.birds} more`}
            </Figure>
          </Box>
        )}
        <Heading mt={6} mb={1}>
          {advice.movable ? 'A movable pen' : 'A house that stays'}
        </Heading>
        {advice.reasons.map((r) => (
          <p key={r}>{show.text(r)}</p>
        ))}
        {ranked.length > 0 && (
          <Box mt={6}>
            <Heading mb={ranked.some(({ model: m }) => m.summary.price !== undefined) ? 1 : 2}>
              Standard models for them, best first
            </Heading>
            {ranked.some(({ model: m }) => m.summary.price !== undefined) && (
              <Box mb={2}>
                <Soft>
                  List prices: one unit at the usual margin with a delivery next door, before tax. The miles to this
                  site, its ground, options and what is taken off come with the quote.
                </Soft>
              </Box>
            )}
            {ranked.map(({ model: m, birds, reasons, variant }) => (
              <Box key={m.id} borderTop="1px solid" borderColor="hair" py={2} data-ranked={m.name}>
                <Box display="flex" gap={3} alignItems="baseline">
                  <span className="cond" style={{ fontSize: 17 }}>
                    {m.name}
                  </span>
                  <span>{show.text(m.purpose)}</span>
                  <Soft ml="auto" whiteSpace="nowrap">
                    {[`${birds} birds`, show.money(m.summary.price, true)].filter(Boolean).join(' · ')}
                  </Soft>
                </Box>
                <Box display="flex" gap={3} flexWrap="wrap" fontSize="14px">
                  {reasons.map((r) => (
                    <Box as="span" key={r.text} color={r.good ? 'moss' : 'keel'}>
                      {r.good ? '+' : '−'} {show.text(r.text)}
                    </Box>
                  ))}
                </Box>
                {!order.accepted && (
                  <Box display="flex" gap={2} mt={1}>
                    <QuietButton onClick={() => void start(m.spec, m.name)}>Start from {m.name}</QuietButton>
                    {variant && (
                      <QuietButton onClick={() => void start({ ...m.spec, params: variant.params }, m.name)}>
                        {variant.text}: room for {variant.birds}
                      </QuietButton>
                    )}
                  </Box>
                )}
              </Box>
            ))}
          </Box>
        )}
        {order.flock && order.revision && (
          <Box mt={6}>
            <LinkButton asChild>
              <Link to={`/orders/${order.id}/build`}>See the build</Link>
            </LinkButton>
          </Box>
        )}
      </Box>
    </Box>
  );
};
