import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import type { ApiError } from '../../data/api.ts';
import { shortDay } from '../../data/days.ts';
import type { CustomerDetail } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { MiniTape } from '../../parts/MiniTape.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { CustomerSheet } from './CustomerSheet.tsx';
import { siteWords } from './siteWay.ts';

/** A customer with all that belongs to them: how to reach them, notes, sites, orders. */
export const CustomerPage = () => {
  const { id = '' } = useParams();
  const show = useShow();
  const navigate = useNavigate();
  const { data, error, mutate } = useSWR<CustomerDetail, ApiError>(`/customers/${id}`);
  const [sheet, setSheet] = useState<'customer' | 'new site' | CustomerDetail['sites'][number]>();
  const { tell } = useNotice();
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const close = (): void => setSheet(undefined);
  return (
    <Box p={{ base: 3, md: 6 }} pb={16} maxW="1100px">
      <Box display="flex" gap={4} alignItems="baseline" flexWrap="wrap" mb={2}>
        <Title>{data.name}</Title>
        <QuietButton onClick={() => setSheet('customer')}>Change</QuietButton>
        <Button ml="auto" onClick={() => void navigate(`/orders?enquiry=${data.id}`)}>
          Take an enquiry
        </Button>
      </Box>
      <Box display="flex" gap={5} flexWrap="wrap" mb={3}>
        {data.phone !== '' && <a href={`tel:${data.phone}`}>{data.phone}</a>}
        {data.email !== '' && <a href={`mailto:${data.email}`}>{data.email}</a>}
        <span>{data.address}</span>
        <Soft>{siteWords(show.distance(data.miles), data)}</Soft>
      </Box>
      {data.notes !== '' && (
        <Box bg="sheet" borderLeft="5px solid" borderColor="tape" px={4} py={2} mb={5} whiteSpace="pre-wrap">
          {data.notes}
        </Box>
      )}
      <Box display="grid" gridTemplateColumns={{ base: '1fr', lg: '1.6fr 1fr' }} gap={8}>
        <Box minW={0}>
          <Heading mb={1}>Orders</Heading>
          {data.orders.length === 0 && <Empty>None yet.</Empty>}
          {data.orders.length > 0 && (
            <table>
              <thead>
                <tr>
                  <th>Order</th>
                  <th>Where it is</th>
                  <th>Stands at</th>
                  <th>Wanted by</th>
                </tr>
              </thead>
              <tbody>
                {data.orders.map((o) => (
                  <tr key={o.id}>
                    <td>
                      <Link to={`/orders/${o.id}`}>
                        {o.id} {o.title}
                      </Link>
                      {o.quantity > 1 && <Soft> × {o.quantity}</Soft>}
                    </td>
                    <td>
                      <MiniTape station={o.station} />
                    </td>
                    <td>{o.site ?? 'their address'}</td>
                    <td>{shortDay(o.wantedBy)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Box>
        <Box minW={0}>
          <Box display="flex" alignItems="baseline" gap={3}>
            <Heading mb={1}>Sites</Heading>
            <QuietButton ml="auto" onClick={() => setSheet('new site')}>
              Add a site
            </QuietButton>
          </Box>
          <Soft>Places that are not their own address. An order is put on one in its details.</Soft>
          {data.sites.map((s) => (
            <Box
              key={s.id}
              py={2}
              borderBottom="1px solid"
              borderColor="hair"
              display="flex"
              gap={3}
              data-site={s.name}
            >
              <Box flex={1} minW={0}>
                <span className="cond">{s.name}</span>
                <Box>{s.address}</Box>
                <Soft>
                  {siteWords(show.distance(s.miles), s)}
                  {s.notes === '' ? '' : `. ${s.notes}`}
                </Soft>
              </Box>
              <QuietButton alignSelf="start" onClick={() => setSheet(s)}>
                Change
              </QuietButton>
            </Box>
          ))}
        </Box>
      </Box>
      {sheet === 'customer' && (
        <CustomerSheet
          title={`Change ${data.name}`}
          yes="Keep"
          before={data}
          onClose={close}
          onKeep={async (fields) => {
            await api(`/customers/${data.id}`, { method: 'PATCH', body: { version: data.version, ...fields } });
            await mutate();
            tell('The book of customers is kept.');
          }}
        />
      )}
      {sheet !== undefined && sheet !== 'customer' && (
        <CustomerSheet
          site
          title={sheet === 'new site' ? 'Add a site' : `Change ${sheet.name}`}
          yes={sheet === 'new site' ? 'Add' : 'Keep'}
          {...(sheet === 'new site' ? {} : { before: sheet })}
          onClose={close}
          onKeep={async (fields) => {
            await mutate(
              sheet === 'new site'
                ? await api<CustomerDetail>(`/customers/${data.id}/sites`, { method: 'POST', body: fields })
                : await api<CustomerDetail>(`/customers/${data.id}/sites/${sheet.id}`, {
                    method: 'PATCH',
                    body: { version: sheet.version, ...fields },
                  }),
              { revalidate: false },
            );
            tell('The site is kept.');
          }}
        />
      )}
    </Box>
  );
};
