import { Box } from '@chakra-ui/react';
import { useNotice } from './Notice.tsx';
import { Button, LinkButton, QuietButton } from './Button.tsx';
import { TapeProgress } from './TapeProgress.tsx';
import { Soft } from './Text.tsx';
import type { useJob } from '../data/useJob.ts';

/** A job's button, how far it is, and what it leaves. */
export const JobLine = ({
  work,
  verb,
  again,
  quiet = false,
}: {
  readonly work: ReturnType<typeof useJob>;
  readonly verb: string;
  readonly again: string;
  readonly quiet?: boolean;
}) => {
  const { fail } = useNotice();
  const { job, running, start, stop } = work;
  const Start = quiet ? QuietButton : Button;
  return (
    <Box display="flex" gap={4} alignItems="center" flexWrap="wrap" data-job={job?.state ?? 'none'}>
      {running ? (
        <QuietButton onClick={() => void stop().catch(fail)}>Stop it</QuietButton>
      ) : (
        <Start onClick={() => void start().catch(fail)}>{job ? again : verb}</Start>
      )}
      {job && running && (
        <Box flex="1 1 220px" maxW="420px">
          <TapeProgress part={job.progress} name={job.note || 'Waiting'} />
          <Soft>{job.note || 'Waiting for its turn'} …</Soft>
        </Box>
      )}
      {job && !running && <span>{job.note}</span>}
      {job?.file != null && <LinkButton href={`/api/jobs/${job.id}/result.zip`}>Fetch {job.file}</LinkButton>}
    </Box>
  );
};
