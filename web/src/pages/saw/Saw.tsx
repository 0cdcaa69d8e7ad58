import '../../app/lightDark.ts';
import { SawBatch } from './SawBatch.tsx';

/** The page of a tablet at the saw, outside the frame of the other pages. */
export const Saw = () => <SawBatch />;
