import { LinearProgress } from '@mui/material';

export default function Loading() {
  return <LinearProgress aria-label="Loading" />;
}
