import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { mutate as mutateAll } from 'swr';
import { printMinutes } from '@rubbet/core/measure';
import { api } from '../../data/api.ts';
import { shortDay } from '../../data/days.ts';
import { useBoard, useMe } from '../../data/hooks.ts';
import { isOffice } from '../../data/roles.ts';
import type { BoardData, ReplanData } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, ChoiceButton, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { clock } from './clock.ts';
import { DaysMoved } from './DaysMoved.tsx';
import { dayToLookAt } from './layBoard.ts';
import { planWords } from './planWords.ts';
import { whatCanBeOut } from './whatCanBeOut.ts';

const CAUSES = [
  ['ill', 'Somebody is away'],
  ['out', 'A machine or trailer is out'],
  ['rain', 'It rains'],
  ['late wood', 'Wood comes late'],
  ['spoiled', 'Something is spoiled'],
  ['longer', 'It takes longer'],
  ['look again', 'Look at it again'],
] as const;
type Cause = (typeof CAUSES)[number][0];

/** A choice of what is out, as it is asked for. */
const whatOf = (choice: string): { readonly of: string; readonly what: string } => {
  const [of = '', ...what] = choice.split(' ');
  return { of, what: what.join(' ') };
};

/** What is asked of each cause. */
const bodyOf = (cause: Cause, s: Record<string, string>): Record<string, unknown> => ({
  kind: cause,
  ...(cause === 'ill' ? { person: s.person, day: s.day, until: s.until || s.day } : {}),
  ...(cause === 'out' ? { ...whatOf(s.what ?? ''), day: s.day, until: s.until || s.day } : {}),
  ...(cause === 'rain' ? { day: s.day } : {}),
  ...(cause === 'late wood' ? { order: Number(s.order), day: s.day } : {}),
  ...(cause === 'spoiled' ? { task: s.task, minutes: Math.round(Number(s.minutes)) } : {}),
  ...(cause === 'longer' ? { task: s.task, times: Number(s.times) } : {}),
});

const NAMES: Readonly<Record<string, string>> = {
  'least upset': 'Least upset',
  'no overtime': 'Planned anew, no overtime',
  'fewest late': 'Fewest days late, with overtime',
};

/** The morning: what came up, and two or three plans for it; nothing moves until one is chosen. */
export const Morning = () => {
  const { data, error, mutate } = useBoard();
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const navigate = useNavigate();
  const [cause, setCause] = useState<Cause>('ill');
  const [said, setSaid] = useState<Record<string, string>>({});
  const [found, setFound] = useState<ReplanData>();
  const [busy, setBusy] = useState(false);
  if (error && !data) throw error;
  if (!data) return <Loading />;
  if (!isOffice(me)) return <Empty>Plans are made anew by the office.</Empty>;
  const choices = whatCanBeOut(data);
  const s: Record<string, string> = {
    person: data.people.find((p) => /^\d+$/.test(p.key))?.key ?? '',
    what: choices[0]?.[0] ?? '',
    day: dayToLookAt(data),
    until: '',
    order: String(data.orders.find((o) => o.ends !== null)?.id ?? ''),
    task: data.operations.find((o) => !o.done && o.visits.length > 0)?.id ?? '',
    minutes: '60',
    times: '2',
    ...said,
  };
  const set = (key: string) => (e: { readonly target: { readonly value: string } }) => {
    setSaid({ ...said, [key]: e.target.value });
    setFound(undefined);
  };
  const look = async (): Promise<void> => {
    setBusy(true);
    setFound(undefined);
    try {
      setFound(await api<ReplanData>('/board/replan', { method: 'POST', body: bodyOf(cause, s) }));
    } catch (e) {
      fail(e);
    } finally {
      setBusy(false);
    }
  };
  const choose = async (plan: string): Promise<void> => {
    if (!found) return;
    setBusy(true);
    try {
      await mutate(await api<BoardData>(`/board/replan/${found.id}/choose`, { method: 'POST', body: { plan } }), {
        revalidate: false,
      });
      await mutateAll('/today');
      tell('The board follows the plan that you chose. Whom it concerns is told.');
      void navigate('/crews');
    } catch (e) {
      fail(e);
      setFound(undefined);
      await mutate();
    } finally {
      setBusy(false);
    }
  };
  const open = data.operations.filter((o) => !o.done && o.visits.length > 0);
  const orders = data.orders.filter((o) => o.ends !== null);
  const day = (label: string, key: string) => (
    <Field label={label}>
      {(id) => <Input id={id} type="date" min={data.today} value={s[key] ?? ''} onChange={set(key)} />}
    </Field>
  );
  const span = (
    <>
      {day('From', 'day')}
      <Field label="To, that day too">
        {(id) => <Input id={id} type="date" min={s.day ?? ''} value={s.until || s.day || ''} onChange={set('until')} />}
      </Field>
    </>
  );
  const block = (
    <Field label="Work">
      {(id) => (
        <Select id={id} value={s.task} onChange={set('task')}>
          {open.map((o) => (
            <option key={o.id} value={o.id}>
              {o.orderId} {o.title}: {o.name}
            </option>
          ))}
        </Select>
      )}
    </Field>
  );
  return (
    <Box p={5} pb={16}>
      <Title mb={1}>What came up?</Title>
      <Box mb={3}>
        <Soft>
          Say what it is, and look at what could be done. Nothing moves until you choose.{' '}
          <Link to="/crews">Back to the board</Link>
        </Soft>
      </Box>
      <Box role="group" aria-label="What came up" display="flex" flexWrap="wrap" mb={3}>
        {CAUSES.map(([key, name]) => (
          <ChoiceButton
            key={key}
            aria-pressed={cause === key}
            onClick={() => {
              setCause(key);
              setFound(undefined);
            }}
          >
            {name}
          </ChoiceButton>
        ))}
      </Box>
      <Box
        as="form"
        display="flex"
        gap={4}
        alignItems="end"
        flexWrap="wrap"
        mb={5}
        onSubmit={(e: React.FormEvent) => {
          e.preventDefault();
          if (!busy) void look();
        }}
      >
        {cause === 'ill' && (
          <>
            <Field label="Who">
              {(id) => (
                <Select id={id} value={s.person} onChange={set('person')}>
                  {data.people
                    .filter((p) => /^\d+$/.test(p.key))
                    .map((p) => (
                      <option key={p.key} value={p.key}>
                        {p.name}
                      </option>
                    ))}
                </Select>
              )}
            </Field>
            {span}
          </>
        )}
        {cause === 'out' && (
          <>
            <Field label="What">
              {(id) => (
                <Select id={id} value={s.what} onChange={set('what')}>
                  {choices.map(([value, name]) => (
                    <option key={value} value={value}>
                      {name}
                    </option>
                  ))}
                </Select>
              )}
            </Field>
            {span}
          </>
        )}
        {cause === 'rain' && day('On', 'day')}
        {cause === 'late wood' && (
          <>
            <Field label="Order">
              {(id) => (
                <Select id={id} value={s.order} onChange={set('order')}>
                  {orders.map((o) => (
                    <option key={o.id} value={o.id}>
                      {o.id} {o.title}
                    </option>
                  ))}
                </Select>
              )}
            </Field>
            {day('It comes on', 'day')}
          </>
        )}
        {cause === 'spoiled' && (
          <>
            {block}
            <Field label="Minutes to make it again">
              {(id) => <Input id={id} inputMode="numeric" value={s.minutes} onChange={set('minutes')} />}
            </Field>
          </>
        )}
        {cause === 'longer' && (
          <>
            {block}
            <Field label="Times as long">
              {(id) => <Input id={id} inputMode="decimal" value={s.times} onChange={set('times')} />}
            </Field>
          </>
        )}
        <Button type="submit" disabled={busy || (cause !== 'look again' && open.length === 0)}>
          {busy && !found ? 'Looking …' : 'Look for plans'}
        </Button>
      </Box>
      {found && (
        <>
          <Heading mb={1}>{found.cause}.</Heading>
          <Box mb={4}>
            If everybody just goes on:{' '}
            {found.asItIs.lateOrders === 0
              ? 'nothing is late'
              : found.asItIs.lateOrders === 1
                ? `one order is ${found.asItIs.lateDays === 1 ? 'a day' : `${found.asItIs.lateDays} days`} late`
                : `${found.asItIs.lateOrders} orders are ${found.asItIs.lateDays} days late together`}
            {found.asItIs.faults.length > 0 ? `, and ${found.asItIs.faults[0]?.text ?? ''}` : '.'}
          </Box>
          <Box display="grid" gridTemplateColumns={`repeat(auto-fit, minmax(320px, 1fr))`} gap={5} alignItems="start">
            {found.plans.map((p, i) => (
              <Box key={p.kind} borderTop="3px solid" borderColor="ink" pt={2} data-plan={p.kind}>
                <Box display="flex" alignItems="baseline" gap={3} mb={2}>
                  <Heading>{NAMES[p.kind] ?? p.kind}</Heading>
                  <Box ml="auto">
                    {i === 0 ? (
                      <Button disabled={busy} onClick={() => void choose(p.kind)}>
                        Take this plan
                      </Button>
                    ) : (
                      <QuietButton disabled={busy} onClick={() => void choose(p.kind)}>
                        Take this plan
                      </QuietButton>
                    )}
                  </Box>
                </Box>
                <PlanFigures plan={p} />
                {planWords(p, found.asItIs).map((w) => (
                  <Box key={w} mb={1}>
                    {w}
                  </Box>
                ))}
                <DaysMoved plan={p} today={data.today} />
                {p.shifts.length > 0 && (
                  <Box asChild mt={3}>
                    <details>
                      <summary>Every block that moves ({p.shifts.length})</summary>
                      {p.shifts.map((x, k) => (
                        <Box key={k} fontSize="14px" borderBottom="1px solid" borderColor="hair" py={1}>
                          <strong className="cond">
                            {x.orderId} {x.name}
                          </strong>{' '}
                          {x.before ? `${shortDay(x.before.day)} ${clock(x.before.minute)}` : 'no place'} →{' '}
                          {shortDay(x.after.day)} {clock(x.after.minute)}
                          <Box color="soft">
                            {x.before?.at === x.after.at ? x.after.at : `${x.before?.at ?? ''} → ${x.after.at}`}
                          </Box>
                        </Box>
                      ))}
                    </details>
                  </Box>
                )}
                {p.faults.map((f) => (
                  <Box key={f.text} bg="amberwash" borderLeft="4px solid" borderColor="amber" px={3} py={1} mt={2}>
                    {f.text}
                  </Box>
                ))}
              </Box>
            ))}
          </Box>
        </>
      )}
    </Box>
  );
};

/** What a plan comes to, beside each other. */
const PlanFigures = ({ plan }: { readonly plan: ReplanData['plans'][number] }) => {
  const show = useShow();
  const parts = [
    [
      'late',
      plan.cost.late,
      plan.lateOrders === 0 ? 'nothing late' : plan.lateDays === 1 ? 'a day late' : `${plan.lateDays} days late`,
    ],
    [
      'moved',
      plan.cost.upset,
      plan.shifts.length === 0
        ? 'nothing'
        : `${plan.shifts.length === 1 ? 'a block' : `${plan.shifts.length} blocks`} at another time or by others`,
    ],
    ['overtime', plan.cost.overtime, plan.overtimeMinutes === 0 ? 'none' : printMinutes(plan.overtimeMinutes)],
    ['bays', plan.cost.bays, 'days in the bays'],
    ['road', plan.cost.driving + plan.cost.nights, plan.cost.nights > 0 ? 'out and home, and beds' : 'out and home'],
  ] as const;
  return (
    <Box display="grid" gridTemplateColumns="repeat(5, 1fr)" gap={2} mb={2}>
      {parts.map(([name, cents, words]) => (
        <Box key={name} borderTop="1px solid" borderColor="rule" pt={1}>
          <Box className="cond" fontSize="18px">
            {show.money(cents)}
          </Box>
          <Box color="soft" fontSize="13px" lineHeight={1.2}>
            {name}: {words}
          </Box>
        </Box>
      ))}
    </Box>
  );
};
