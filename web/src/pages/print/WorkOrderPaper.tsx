import { Box } from '@chakra-ui/react';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { Button, LinkButton, QuietButton } from '../../parts/Button.tsx';
import { TapeProgress } from '../../parts/TapeProgress.tsx';
import { Soft, Title } from '../../parts/Text.tsx';
import '../../app/lightDark.ts';
import { usePrinted } from './usePrinted.ts';

/** A work order on paper: how far it is while it is made, then the paper itself, to be printed or kept. */
export const WorkOrderPaper = () => {
  const { id = '' } = useParams();
  const [turn, setTurn] = useState(0);
  const printed = usePrinted(`/api/orders/${id}/work-order/print`, turn);
  const frame = useRef<HTMLIFrameElement>(null);
  return (
    <Box height="100%" display="grid" gridTemplateRows="auto minmax(0,1fr)" bg="paper" data-printed={printed.state}>
      <Box
        display="flex"
        gap={4}
        alignItems="center"
        flexWrap="wrap"
        px={{ base: 3, md: 6 }}
        py={3}
        borderBottom="2px solid"
        borderColor="ink"
      >
        <Title flex="1 1 auto">Work order {id} on paper</Title>
        {printed.state === 'made' && (
          <>
            <Button onClick={() => frame.current?.contentWindow?.print()}>Print</Button>
            <LinkButton href={printed.url} download={printed.name}>
              Save as a file
            </LinkButton>
          </>
        )}
        <Link to={`/orders/${id}/bench`}>To the order</Link>
      </Box>
      {printed.state === 'making' && (
        <Box p={8} maxW="460px" w="100%">
          <TapeProgress part={printed.part} name="Making the paper" />
          <Soft mt={2}>{printed.part < 0.3 ? 'Drawing its panels and steps' : 'Setting its pages'} …</Soft>
        </Box>
      )}
      {printed.state === 'failed' && (
        <Box p={8} maxW="560px" role="alert">
          <Box mb={4}>{printed.why}</Box>
          <QuietButton onClick={() => setTurn(turn + 1)}>Try again</QuietButton>
        </Box>
      )}
      {printed.state === 'made' && (
        <iframe
          ref={frame}
          src={printed.url}
          title={printed.name}
          style={{ width: '100%', height: '100%', border: 0 }}
        />
      )}
    </Box>
  );
};
