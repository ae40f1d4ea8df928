import '../words/ofLog';
import '../../css/log.css';
import { createRoot } from 'react-dom/client';
import { Log } from './Log';

const root = document.getElementById('log');
if (root) createRoot(root).render(<Log />);
