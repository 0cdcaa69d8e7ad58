import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import useSWR from 'swr';
import type { Spec } from '@rubbet/core/model';
import { api } from '../../../data/api.ts';
import type { Model } from '../../../data/types.ts';
import { Button, QuietButton } from '../../../parts/Button.tsx';
import { Choices, Field, Input, Select } from '../../../parts/Fields.tsx';
import { useNotice } from '../../../parts/Notice.tsx';

/** Keeps what is built here as a new standard model, or as the next revision of one. */
export const SaveModel = ({
  spec: built,
  model,
  onDone,
}: {
  readonly spec: Spec;
  readonly model: number | undefined;
  readonly onDone: () => void;
}) => {
  // What is locked was agreed for this order; a model has its ranges.
  const { locked: _agreed, ...spec } = built;
  const { data: models, mutate } = useSWR<Model[]>('/models');
  const { tell, fail } = useNotice();
  const same = (models ?? []).filter((m) => m.family === spec.family);
  const [how, setHow] = useState<'new' | 'revision'>('new');
  const [name, setName] = useState('');
  const [text, setText] = useState('');
  const [target, setTarget] = useState(String(model ?? ''));
  const [busy, setBusy] = useState(false);
  const chosen = same.find((m) => String(m.id) === target) ?? same[0];
  const ready = how === 'new' ? name.trim().length >= 2 : chosen !== undefined && text.trim().length >= 2;
  const save = async (): Promise<void> => {
    setBusy(true);
    try {
      const made =
        how === 'new'
          ? await api<Model>('/models', { method: 'POST', body: { name: name.trim(), purpose: text.trim(), spec } })
          : await api<Model>(`/models/${chosen?.id ?? 0}/revisions`, {
              method: 'POST',
              body: { version: chosen?.version, spec, note: text.trim() },
            });
      await mutate();
      tell(how === 'new' ? `${made.name} is a standard model now.` : `${made.name} has revision ${made.revision}.`);
      onDone();
    } catch (error) {
      fail(error);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Box borderTop="2px solid" borderColor="ink" pt={2} mb={4} display="grid" gap={3} data-testid="save-model">
      <Choices
        label="Keep as"
        value={how}
        onChange={setHow}
        choices={[
          { value: 'new', label: 'A new model' },
          { value: 'revision', label: 'A revision of one' },
        ]}
      />
      {how === 'new' ? (
        <Field label="Name">{(id) => <Input id={id} value={name} onChange={(e) => setName(e.target.value)} />}</Field>
      ) : (
        <Field label="Of" {...(same.length === 0 ? { help: 'There is no model of this kind yet.' } : {})}>
          {(id) => (
            <Select id={id} value={String(chosen?.id ?? '')} onChange={(e) => setTarget(e.target.value)}>
              {same.map((m) => (
                <option key={m.id} value={m.id}>
                  {m.name}, revision {m.revision}
                </option>
              ))}
            </Select>
          )}
        </Field>
      )}
      <Field label={how === 'new' ? 'What it is for' : 'What changed'}>
        {(id) => <Input id={id} value={text} onChange={(e) => setText(e.target.value)} />}
      </Field>
      <Box display="flex" gap={2}>
        <Button disabled={busy || !ready} onClick={() => void save()}>
          Keep the model
        </Button>
        <QuietButton onClick={onDone}>Not now</QuietButton>
      </Box>
    </Box>
  );
};
