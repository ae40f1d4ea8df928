import '../words/ofLog';
import '../../css/log.css';
import { createRoot } from 'react-dom/client';
import { recallReading } from '../words/remembered';
import { Log } from './Log';

recallReading();

const root = document.getElementById('log');
if (root) createRoot(root).render(<Log />);
