import { Box } from '@chakra-ui/react';
import { useDeferredValue, useId, useState } from 'react';
import useSWR from 'swr';
import type { Customer } from '../data/types.ts';
import { ChoiceButton, QuietButton } from './Button.tsx';
import { Input } from './Fields.tsx';
import { Soft } from './Text.tsx';

/** Most customers that are offered at once. */
const OFFERED = 6;

/** Finds a customer by name, telephone or place, among as many as there are. */
export const CustomerChooser = ({
  label,
  chosen,
  disabled = false,
  onChoose,
}: {
  readonly label: string;
  readonly chosen: Pick<Customer, 'id' | 'name'> | undefined;
  readonly disabled?: boolean;
  readonly onChoose: (customer: Customer | undefined) => void;
}) => {
  const id = useId();
  const [search, setSearch] = useState('');
  const asked = useDeferredValue(search.trim());
  const { data } = useSWR<Customer[]>(asked === '' ? null : `/customers?search=${encodeURIComponent(asked)}`, {
    keepPreviousData: true,
  });
  return (
    <Box minW={0}>
      <Box asChild color="soft" fontSize="14px" display="block">
        <label htmlFor={id}>{label}</label>
      </Box>
      {chosen ? (
        <Box display="flex" gap={3} alignItems="center">
          <span className="cond">{chosen.name}</span>
          {!disabled && (
            <QuietButton type="button" id={id} onClick={() => onChoose(undefined)}>
              Somebody else
            </QuietButton>
          )}
        </Box>
      ) : (
        <>
          <Input
            id={id}
            type="search"
            placeholder="Name, telephone or place"
            value={search}
            onChange={(e) => setSearch(e.target.value)}
          />
          {asked !== '' && data && (
            <Box display="flex" gap={2} flexWrap="wrap" mt={2} role="group" aria-label="Customers that fit">
              {data.slice(0, OFFERED).map((c) => (
                <ChoiceButton key={c.id} type="button" onClick={() => onChoose(c)}>
                  {c.name} <Soft>{c.phone || c.address}</Soft>
                </ChoiceButton>
              ))}
              {data.length === 0 && <Soft>Nobody in the book fits.</Soft>}
              {data.length > OFFERED && <Soft>and {data.length - OFFERED} more: type on.</Soft>}
            </Box>
          )}
        </>
      )}
    </Box>
  );
};
