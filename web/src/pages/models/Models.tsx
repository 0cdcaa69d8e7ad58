import { Box } from '@chakra-ui/react';
import { useMemo, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import useSWR from 'swr';
import { drawBuild } from '@rubbet/core/draw';
import { printMinutes } from '@rubbet/core/measure';
import { buildSpec, FAMILIES, findFamily } from '@rubbet/core/model';
import { api } from '../../data/api.ts';
import { useMe } from '../../data/hooks.ts';
import type { Model } from '../../data/types.ts';
import { QuietButton } from '../../parts/Button.tsx';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Select } from '../../parts/Fields.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { useNotice } from '../../parts/Notice.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';
import { isOffice } from '../../data/roles.ts';
import { useShow } from '../../data/useShow.tsx';

const Card = ({ model }: { readonly model: Model }) => {
  const show = useShow();
  const drawing = useMemo(() => drawBuild(buildSpec(model.spec), 'three'), [model.spec]);
  const s = model.summary;
  return (
    <Box borderTop="2px solid" borderColor="ink" pt={2} data-model={model.name}>
      <Link to={`/models/${model.id}`} aria-label={`Open ${model.name}`}>
        <Box className="dots" bg="sheet" height="210px" p={2} border="1px solid" borderColor="hair">
          <DrawingView drawing={drawing} pixels={330} label={`${model.name} in the round`} />
        </Box>
      </Link>
      <Box display="flex" alignItems="baseline" gap={3} mt={2}>
        <Heading fontSize="20px">
          <Link to={`/models/${model.id}`}>{model.name}</Link>
        </Heading>
        <Soft>{findFamily(model.family)?.title}</Soft>
        <Soft ml="auto" whiteSpace="nowrap">
          revision {model.revision}
        </Soft>
      </Box>
      <p>{show.text(model.purpose)}</p>
      <Box display="grid" gridTemplateColumns="repeat(4,1fr)" mt={2} borderTop="1px solid" borderColor="hair" pt={2}>
        {[
          [`${s.firstAt ?? s.birds}`, 'birds'],
          [show.weight(s.weight), 'weight'],
          [printMinutes(s.benchMinutes), 'bench'],
          [show.money(s.price, true), 'price'],
        ]
          .filter(([value]) => value !== '')
          .map(([value, name]) => (
            <Box key={name}>
              <Box className="cond" fontSize="17px">
                {value}
              </Box>
              <Soft>{name}</Soft>
            </Box>
          ))}
      </Box>
    </Box>
  );
};

/** Reads a file as JSON; a text that is none becomes a sentence. */
const readJsonFile = async (file: File): Promise<Record<string, unknown>> => {
  const text = await file.text();
  try {
    const json: unknown = JSON.parse(text);
    if (typeof json === 'object' && json !== null && !Array.isArray(json)) return json as Record<string, unknown>;
  } catch {
    // Said below: the reader has no use for the parser's words.
  }
  throw new Error(`${file.name} is not a model file: it should be JSON as exported by a model's page.`);
};

/** Standard models, drawn from their builds. */
export const Models = () => {
  const { data, error, mutate } = useSWR<Model[], Error>('/models');
  const { me } = useMe();
  const { tell, fail } = useNotice();
  const navigate = useNavigate();
  const chooser = useRef<HTMLInputElement>(null);
  const [family, setFamily] = useState('');
  if (error && !data) throw error;
  if (!data) return <Loading />;
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    try {
      const made = await api<Model>('/models/file', { method: 'POST', body: { file: await readJsonFile(file) } });
      await mutate();
      tell(`${made.name} is taken in.`);
      void navigate(`/models/${made.id}`);
    } catch (e) {
      fail(e);
    }
  };
  const present = FAMILIES.filter((f) => data.some((m) => m.family === f.key));
  const shown = data.filter((m) => family === '' || m.family === family);
  return (
    <Box p={{ base: 3, md: 6 }} pb={16}>
      <Box display="flex" alignItems="center" gap={{ base: 2, md: 4 }} mb={4} flexWrap="wrap">
        <Title>Models</Title>
        <Select aria-label="Kind" value={family} onChange={(e) => setFamily(e.target.value)} width="230px">
          <option value="">Every kind</option>
          {present.map((f) => (
            <option key={f.key} value={f.key}>
              {f.title}
            </option>
          ))}
        </Select>
        <Soft>
          {shown.length} of {data.length}
        </Soft>
        {isOffice(me) && (
          <Box ml="auto">
            <input
              ref={chooser}
              type="file"
              accept="application/json,.json"
              aria-label="Model file"
              hidden
              onChange={(e) => {
                void take(e.target.files?.[0]);
                e.target.value = '';
              }}
            />
            <QuietButton onClick={() => chooser.current?.click()}>Take in a model file</QuietButton>
          </Box>
        )}
      </Box>
      {shown.length === 0 && <Empty>No standard model is kept yet. Save one from an order’s Build.</Empty>}
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(330px, 1fr))" gap={6}>
        {shown.map((m) => (
          <Card key={m.id} model={m} />
        ))}
      </Box>
    </Box>
  );
};
