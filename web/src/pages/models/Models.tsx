import { Box } from '@chakra-ui/react';
import { useMemo } from 'react';
import useSWR from 'swr';
import { drawBuild } from '@rubbet/core/draw';
import { printMinutes, printMoney, printWeight } from '@rubbet/core/measure';
import { buildSpec, findFamily } from '@rubbet/core/model';
import type { Model } from '../../data/types.ts';
import { DrawingView } from '../../parts/DrawingView.tsx';
import { Empty, Loading } from '../../parts/Loading.tsx';
import { Heading, Soft, Title } from '../../parts/Text.tsx';

const Card = ({ model }: { readonly model: Model }) => {
  const drawing = useMemo(() => drawBuild(buildSpec(model.spec), 'three'), [model.spec]);
  const s = model.summary;
  return (
    <Box borderTop="2px solid" borderColor="ink" pt={2} data-model={model.name}>
      <Box className="dots" bg="sheet" height="210px" p={2} border="1px solid" borderColor="hair">
        <DrawingView drawing={drawing} pixels={330} label={`${model.name} in the round`} />
      </Box>
      <Box display="flex" alignItems="baseline" gap={3} mt={2}>
        <Heading fontSize="20px">{model.name}</Heading>
        <Soft>{findFamily(model.family)?.title}</Soft>
        <Soft ml="auto">revision {model.revision}</Soft>
      </Box>
      <p>{model.purpose}</p>
      <Box display="grid" gridTemplateColumns="repeat(4,1fr)" mt={2} borderTop="1px solid" borderColor="hair" pt={2}>
        {[
          [`${s.firstAt ?? s.birds}`, 'birds'],
          [printWeight(s.weight), 'weight'],
          [printMinutes(s.benchMinutes), 'bench'],
          [printMoney(s.price, true), 'price'],
        ].map(([value, name]) => (
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

/** Standard models, drawn from their builds. */
export const Models = () => {
  const { data, error } = useSWR<Model[], Error>('/models');
  if (error) throw error;
  if (!data) return <Loading />;
  return (
    <Box p={6} pb={16}>
      <Title mb={4}>Models</Title>
      {data.length === 0 && <Empty>No standard model is kept yet.</Empty>}
      <Box display="grid" gridTemplateColumns="repeat(auto-fill, minmax(330px, 1fr))" gap={6}>
        {data.map((m) => (
          <Card key={m.id} model={m} />
        ))}
      </Box>
    </Box>
  );
};
