import {
  CategoryScale,
  Chart,
  Filler,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  Tooltip,
} from 'chart.js';
import annotationPlugin from 'chartjs-plugin-annotation';
import { Line } from 'react-chartjs-2';
import { TEXT } from '../theme';

Chart.register(
  CategoryScale,
  LinearScale,
  LineController,
  LineElement,
  LogarithmicScale,
  PointElement,
  Filler,
  Legend,
  Tooltip,
  annotationPlugin,
);

// Titles of axes and names of lines take the type that nothing else says.
Chart.defaults.font.family = TEXT;

export { Line };
