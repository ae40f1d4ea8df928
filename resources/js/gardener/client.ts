import '../../css/gardener.css';
import { filterCrops } from './filter';

// Pages are whole without this: it only makes a long table short.
filterCrops(document);
