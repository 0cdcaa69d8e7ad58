import { Box, Dialog, Portal } from '@chakra-ui/react';
import { addDays, format } from 'date-fns';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import useSWR from 'swr';
import { api } from '../../data/api.ts';
import type { Customer, Model, Order } from '../../data/types.ts';
import { Button, QuietButton } from '../../parts/Button.tsx';
import { Field, Input, Select } from '../../parts/Fields.tsx';
import { Title } from '../../parts/Text.tsx';

interface Entry {
  readonly customerId: string;
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
export const NewOrder = ({ close, made }: { readonly close: () => void; readonly made: () => void }) => {
  const { data: customers } = useSWR<Customer[]>('/customers');
  const { data: models } = useSWR<Model[]>('/models');
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string>();
  const { register, handleSubmit, watch, formState } = useForm<Entry>({
    defaultValues: {
      customerId: 'new',
      name: '',
      phone: '',
      email: '',
      address: '',
      miles: '10',
      title: '',
      modelId: '',
      wantedBy: format(addDays(new Date(), 28), 'yyyy-MM-dd'),
      quantity: '1',
    },
  });
  const fresh = watch('customerId') === 'new';
  const submit = handleSubmit(async (e) => {
    setProblem(undefined);
    try {
      const customer = fresh
        ? await api<Customer>('/customers', {
            method: 'POST',
            body: { name: e.name, phone: e.phone, email: e.email, address: e.address, miles: Number(e.miles) },
          })
        : { id: Number(e.customerId) };
      const order = await api<Order>('/orders', {
        method: 'POST',
        body: {
          customerId: customer.id,
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
              <Box display="grid" gridTemplateColumns="1fr 1fr" gap={4} mt={4}>
                <Field label="Customer">
                  {(id) => (
                    <Select id={id} {...register('customerId')}>
                      <option value="new">Somebody new</option>
                      {(customers ?? []).map((c) => (
                        <option key={c.id} value={c.id}>
                          {c.name}
                        </option>
                      ))}
                    </Select>
                  )}
                </Field>
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
                  <span />
                )}
                {fresh && (
                  <>
                    <Field label="Phone">{(id) => <Input id={id} {...register('phone')} />}</Field>
                    <Field label="Email">{(id) => <Input id={id} {...register('email')} />}</Field>
                    <Field label="Address">{(id) => <Input id={id} {...register('address')} />}</Field>
                    <Field label="Miles from the shop" error={errors.miles?.message}>
                      {(id) => (
                        <Input
                          id={id}
                          inputMode="numeric"
                          {...register('miles', { validate: (v) => /^\d+$/.test(v) || 'Whole miles, 0 or more.' })}
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
                          {m.name}: {m.purpose}
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
                  Put it away
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
