import { Box, Dialog, Portal } from '@chakra-ui/react';
import { addDays } from '@rubbet/core/days';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import { today } from '../../data/days.ts';
import type { BusinessData, Customer, CustomerDetail, Model, Order } from '../../data/types.ts';
import { useShow } from '../../data/useShow.tsx';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { CustomerChooser } from '../../parts/CustomerChooser.tsx';
import { Title } from '../../parts/Text.tsx';

interface Entry {
  readonly name: string;
  readonly phone: string;
  readonly email: string;
  readonly address: string;
  readonly miles: string;
  readonly title: string;
  readonly modelId: string;
  readonly wantedBy: string;
  readonly quantity: string;
}

/** Takes an enquiry: who calls, what for, by when. */
export const NewOrder = ({
  from,
  close,
  made,
}: {
  /** The customer who asks, where they are in the book already. */
  readonly from?: number | undefined;
  readonly close: () => void;
  readonly made: () => void;
}) => {
  const show = useShow();
  const { data: business } = useSWR<BusinessData>('/business');
  const { data: known } = useSWR<CustomerDetail>(from === undefined ? null : `/customers/${from}`);
  const [chosen, setChosen] = useState<Customer>();
  const [siteId, setSiteId] = useState('');
  const customer = chosen ?? known;
  const { data: detail } = useSWR<CustomerDetail>(customer ? `/customers/${customer.id}` : null);
  const { data: models } = useSWR<Model[]>('/models');
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, formState } = useForm<Entry>({
    defaultValues: {
      name: '',
      phone: '',
      email: '',
      address: '',
      miles: String(Math.round(show.out('distance', 10))),
      title: '',
      modelId: '',
      wantedBy: addDays(business?.today ?? today(), 28),
      quantity: '1',
    },
  });
  const fresh = customer === undefined;
  const submit = handleSubmit(async (e) => {
    setProblem(undefined);
    try {
      const who = fresh
        ? await api<Customer>('/customers', {
            method: 'POST',
            body: {
              name: e.name,
              phone: e.phone,
              email: e.email,
              address: e.address,
              miles: Math.round(show.back('distance', Number(e.miles))),
            },
          })
        : customer;
      const order = await api<Order>('/orders', {
        method: 'POST',
        body: {
          customerId: who.id,
          ...(siteId === '' ? {} : { siteId: Number(siteId) }),
          title: e.title,
          wantedBy: e.wantedBy,
          quantity: Number(e.quantity),
          ...(e.modelId ? { modelId: Number(e.modelId) } : {}),
        },
      });
      made();
      close();
      void navigate(`/orders/${order.id}/flock`);
    } catch (error) {
      setProblem(error instanceof Error ? error.message : String(error));
    }
  });
  const { errors } = formState;
  return (
    <Dialog.Root open onOpenChange={(d) => !d.open && close()}>
      <Portal>
        <Dialog.Backdrop position="fixed" inset={0} bg="rgba(15,20,17,.45)" zIndex={40} />
        <Dialog.Positioner position="fixed" inset={0} display="grid" placeItems="center" zIndex={41} p={4}>
          <Dialog.Content
            bg="sheet"
            color="ink"
            width="min(760px, 94vw)"
            maxH="92vh"
            overflow="auto"
            border="2px solid"
            borderColor="ink"
            p={6}
          >
            <Dialog.Title asChild>
              <Title>Take an enquiry</Title>
            </Dialog.Title>
            <form onSubmit={(e) => void submit(e)} noValidate>
              <Box display="grid" gridTemplateColumns={{ base: '1fr', sm: '1fr 1fr' }} gap={4} mt={4}>
                <CustomerChooser
                  label="Customer in the book"
                  chosen={customer}
                  disabled={from !== undefined}
                  onChoose={setChosen}
                />
                {fresh ? (
                  <Field label="Name" error={errors.name?.message}>
                    {(id) => (
                      <Input
                        id={id}
                        {...register('name', {
                          validate: (v) => !fresh || v.trim().length > 1 || 'Write the name of the customer.',
                        })}
                      />
                    )}
                  </Field>
                ) : (
                  <Field label="Where it goes">
                    {(id) => (
                      <Select id={id} value={siteId} onChange={(e) => setSiteId(e.target.value)}>
                        <option value="">{customer.address || 'their address'}</option>
                        {(detail?.sites ?? []).map((s) => (
                          <option key={s.id} value={s.id}>
                            {s.name}, {s.address}
                          </option>
                        ))}
                      </Select>
                    )}
                  </Field>
                )}
                {fresh && (
                  <>
                    <Field label="Phone">{(id) => <Input id={id} {...register('phone')} />}</Field>
                    <Field label="Email">{(id) => <Input id={id} {...register('email')} />}</Field>
                    <Field label="Address">{(id) => <Input id={id} {...register('address')} />}</Field>
                    <Field label={`Way from the shop, ${show.unit('distance')}`} error={errors.miles?.message}>
                      {(id) => (
                        <Input
                          id={id}
                          inputMode="numeric"
                          {...register('miles', { validate: (v) => /^\d+$/.test(v) || 'A whole number, 0 or more.' })}
                        />
                      )}
                    </Field>
                  </>
                )}
                <Field label="What for" error={errors.title?.message}>
                  {(id) => (
                    <Input
                      id={id}
                      placeholder="Sorrel, ten inches longer"
                      {...register('title', {
                        validate: (v) => v.trim().length > 1 || 'Say in a few words what it is for.',
                      })}
                    />
                  )}
                </Field>
                <Field label="Standard model to start from">
                  {(id) => (
                    <Select id={id} {...register('modelId')}>
                      <option value="">None: start from the flock</option>
                      {(models ?? []).map((m) => (
                        <option key={m.id} value={m.id}>
                          {m.name}: {show.text(m.purpose)}
                        </option>
                      ))}
                    </Select>
                  )}
                </Field>
                <Field label="Wanted by" error={errors.wantedBy?.message}>
                  {(id) => <Input id={id} type="date" {...register('wantedBy', { required: 'Choose a day.' })} />}
                </Field>
                <Field label="How many" error={errors.quantity?.message}>
                  {(id) => (
                    <Input
                      id={id}
                      inputMode="numeric"
                      {...register('quantity', {
                        validate: (v) => (/^\d+$/.test(v) && Number(v) > 0) || 'A whole number, 1 or more.',
                      })}
                    />
                  )}
                </Field>
              </Box>
              {problem && (
                <Box role="alert" mt={4} bg="keelwash" borderLeft="4px solid" borderColor="keel" p={3}>
                  {problem}
                </Box>
              )}
              <Box display="flex" gap={3} mt={5} justifyContent="flex-end">
                <QuietButton type="button" onClick={close}>
                  Leave it
                </QuietButton>
                <Button type="submit" disabled={formState.isSubmitting}>
                  Write it down
                </Button>
              </Box>
            </form>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
};
