import { Box } from '@chakra-ui/react';
import { useDeferredValue, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import type { Customer } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button } from '../../parts/Button.tsx';
import { Input } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import { CustomerSheet } from './CustomerSheet.tsx';

/** The book of customers: found by name, telephone, mail or place. */
export const Customers = () => {
  const show = useShow();
  const navigate = useNavigate();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const [adding, setAdding] = useState(false);
  const { data, error } = useSWR<Customer[], Error>(`/customers?search=${encodeURIComponent(asked)}`, {
    keepPreviousData: true,
  });
  if (error && !data) throw error;
  return (
    <Box p={{ base: 3, md: 6 }} pb={16} maxW="1100px">
      <Box display="flex" gap={4} alignItems="center" mb={4} flexWrap="wrap">
        <Title>Customers</Title>
        <Box width={{ base: '100%', md: '320px' }}>
          <Input
            type="search"
            aria-label="Search customers"
            placeholder="Name, telephone, mail or place"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
        </Box>
        <Button ml="auto" onClick={() => setAdding(true)}>
          Write one down
        </Button>
      </Box>
      {!data && <Loading />}
      {data?.length === 0 && (
        <Empty>
          {asked === '' ? 'The book is empty. The first enquiry writes the first one down.' : `Nobody with "${asked}".`}
        </Empty>
      )}
      {data && data.length > 0 && (
        <Box overflowX="auto">
          <table>
            <thead>
              <tr>
                <th>Name</th>
                <th>Telephone</th>
                <th>Email</th>
                <th>Address</th>
                <th className="num">Way</th>
              </tr>
            </thead>
            <tbody>
              {data.map((c) => (
                <tr key={c.id}>
                  <td className="cond">
                    <Link to={`/customers/${c.id}`}>{c.name}</Link>
                  </td>
                  <td>
                    <a href={`tel:${c.phone}`}>{c.phone}</a>
                  </td>
                  <td>{c.email}</td>
                  <td>{c.address}</td>
                  <td className="num">{show.distance(c.miles)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {data.length >= 200 && <Soft>The first 200; type more of the name to see others.</Soft>}
        </Box>
      )}
      {adding && (
        <CustomerSheet
          title="Write a customer down"
          yes="Write down"
          onClose={() => setAdding(false)}
          onKeep={async (body) => {
            const made = await api<Customer>('/customers', { method: 'POST', body });
            void navigate(`/customers/${made.id}`);
          }}
        />
      )}
    </Box>
  );
};
