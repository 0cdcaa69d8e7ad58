import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import useSWR from 'swr';
import { drawBuild, drawFoundation } from '@rubbet/core/draw';
import { buildSpec } from '@rubbet/core/model';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import { ShowIn, useShow } from '../../data/useShow.tsx';
import { longDay } from '../../data/days.ts';
import type { VisitData } from '../../data/types.ts';
import { LinkButton } from '../../parts/Button.tsx';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Len, Soft, Title, WithFractions } from '../../parts/Text.tsx';
import '../../app/lightDark.ts';

/** The customer's own page: when we come, what to prepare and confirm, what happens that day, how to start. */
export const Visit = () => {
  const { token = '' } = useParams();
  const { data, error, mutate } = useSWR<VisitData, ApiError>(`/visit/${token}`);
  if (error && !data)
    return (
      <Box as="main" p={8} maxW="560px" mx="auto">
        <Title mb={2}>This page cannot be shown</Title>
        {error.message}
      </Box>
    );
  if (!data) return <Loading />;
  return (
    <ShowIn units={data.units}>
      <Page token={token} data={data} keep={(next) => mutate(next, { revalidate: false })} />
    </ShowIn>
  );
};

const Page = ({
  token,
  data,
  keep,
}: {
  readonly token: string;
  readonly data: VisitData;
  readonly keep: (next: VisitData) => Promise<unknown>;
}) => {
  const show = useShow();
  const { fail } = useNotice();
  const spec = data.order.spec ?? undefined;
  const picture = useMemo(() => (spec ? drawBuild(buildSpec(spec), 'three') : undefined), [spec]);
  const confirm = async (item: string, done: boolean): Promise<void> => {
    try {
      await keep(await api<VisitData>(`/visit/${token}/items`, { method: 'PUT', body: { item, done } }));
    } catch (e) {
      fail(e);
    }
  };
  const left = data.items.filter((i) => !i.done).length;
  return (
    <Box as="main" maxW="640px" mx="auto" px={5} pb={16} bg="sheet" minH="100%">
      <Box
        bg="tape"
        height="18px"
        mx={-5}
        borderBottom="1px solid"
        borderColor="tapeedge"
        backgroundImage="repeating-linear-gradient(90deg,#5A4300 0 1px,transparent 1px 8px)"
        backgroundSize="100% 8px"
        backgroundRepeat="no-repeat"
        aria-hidden="true"
      />
      {data.business.name !== '' && (
        <Box mt={4} display="flex" justifyContent="space-between" gap={3} flexWrap="wrap" className="cond">
          {data.business.name}
          {data.business.phone !== '' && (
            <a href={`tel:${data.business.phone.replace(/[^\d+]/g, '')}`}>{data.business.phone}</a>
          )}
        </Box>
      )}
      <Title mt={3} fontSize="26px">
        {data.order.title}
      </Title>
      <Soft>
        For {data.order.customer}, {data.order.address}. Order {data.order.id}.
      </Soft>
      {picture && (
        <Box height="250px" my={3}>
          <DrawingView drawing={picture} pixels={600} label="What we build for you" />
        </Box>
      )}
      {data.size && (
        <Box mb={3}>
          <Len inches={data.size.long} feet /> long, <Len inches={data.size.wide} feet /> wide,{' '}
          <Len inches={data.size.high} feet /> high, {show.weight(data.size.weight)}.
        </Box>
      )}
      <Box bg="paper" borderLeft="6px solid" borderColor="tape" px={4} py={3} mb={6} data-testid="visit-day">
        {data.deliveredAt ? (
          <Heading>It stands with you.</Heading>
        ) : data.delivery ? (
          <>
            <Heading fontSize="20px">
              We come on {longDay(data.delivery.day)}, {data.delivery.arrives}.
            </Heading>
            {data.business.phone !== '' && `Call ${data.business.phone} if that day does not suit you.`}
            <Box mt={2}>
              <LinkButton href={`/api/visit/${token}/day.ics`}>Into your calendar</LinkButton>
            </Box>
          </>
        ) : (
          <Heading>We tell you the day as soon as it is set. You asked for {longDay(data.order.wantedBy)}.</Heading>
        )}
      </Box>
      {data.quote && (
        <Box mb={6} data-testid="visit-quote">
          <Heading mb={1}>{data.quote.accepted ? 'What you have accepted' : 'Our quote'}</Heading>
          <table>
            <tbody>
              {data.quote.lines.map((l) => (
                <tr key={l.what}>
                  <td>{l.what}</td>
                  <td className="num">{show.money(l.cents)}</td>
                </tr>
              ))}
              <tr>
                <td className="cond">In all</td>
                <td className="num cond">{show.money(data.quote.total)}</td>
              </tr>
            </tbody>
          </table>
          <Soft>
            {[
              data.quote.deposit > 0
                ? `${show.money(data.quote.deposit)} of it ${data.quote.accepted ? 'was due when you accepted' : 'when you accept'}, the rest at hand-over.`
                : '',
              data.quote.validUntil === null ? '' : `It holds until ${longDay(data.quote.validUntil)}.`,
              data.quote.accepted ? '' : 'Call us to accept it.',
            ]
              .filter(Boolean)
              .join(' ')}
          </Soft>
        </Box>
      )}
      <Heading mb={1}>Before we come</Heading>
      <Soft>
        {left === 0
          ? 'All confirmed. Thank you.'
          : `${left} of ${data.items.length} still to confirm. Tick each when it is done.`}
      </Soft>
      {data.items.map((i) => (
        <Box
          key={i.key}
          asChild
          display="grid"
          gridTemplateColumns="34px 1fr"
          gap={3}
          py={3}
          borderBottom="1px solid"
          borderColor="hair"
          alignItems="start"
          cursor="pointer"
        >
          <label>
            <input
              type="checkbox"
              checked={i.done}
              style={{ width: 26, height: 26, marginTop: 2 }}
              onChange={(e) => void confirm(i.key, e.target.checked)}
            />
            <span>
              <strong className="cond" style={{ fontSize: 17 }}>
                {i.title}
              </strong>
              <br />
              <WithFractions text={i.text} />
            </span>
          </label>
        </Box>
      ))}
      {data.ground && (
        <Box mt={6}>
          <Heading mb={1}>What it stands on</Heading>
          <Box height="260px" border="1px solid" borderColor="rule" className="dots">
            <DrawingView
              drawing={drawFoundation(data.ground.foundation, data.ground.base as [number, number, number, number])}
              pixels={560}
              label="What it stands on, from above"
            />
          </Box>
        </Box>
      )}
      <Heading mt={6} mb={1}>
        That day
      </Heading>
      {data.day.map((t, i) => (
        <Box key={t} display="grid" gridTemplateColumns="26px 1fr" py="3px">
          <span className="cond">{i + 1}</span>
          <WithFractions text={t} />
        </Box>
      ))}
      <Heading mt={6} mb={1}>
        How to start
      </Heading>
      {data.start.map((t) => (
        <Box key={t} py="3px">
          {t}
        </Box>
      ))}
      <Box mt={6} display="flex" gap={3}>
        <LinkButton href={`/api/visit/${token}/site-sheet.pdf`} target="_blank">
          Print this as a sheet
        </LinkButton>
      </Box>
      <Box mt={5} color="soft">
        Local codes, permits and licensed trades decide. Have buried services located before you dig.
      </Box>
    </Box>
  );
};
