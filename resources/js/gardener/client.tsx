import '../../css/gardener.css';
import { hydrateRoot } from 'react-dom/client';
import { GardenerPage, type PageData } from './pages';

const root = document.getElementById('gardener');
const data = document.getElementById('page')?.textContent;
if (root && data) hydrateRoot(root, <GardenerPage data={JSON.parse(data) as PageData} />);
