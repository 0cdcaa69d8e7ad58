import { Navigate, useParams } from 'react-router';

/** Where the code of a label leads: to its piece at the bench. */
export const Labelled = () => {
  const { id = '', part = '' } = useParams();
  return <Navigate to={`/bench/${id}?part=${encodeURIComponent(part)}`} replace />;
};
