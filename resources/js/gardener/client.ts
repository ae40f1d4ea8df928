import { filterCrops } from './filter';
import { keepOwn } from './own';
import { offerOffline } from './offline';
import { offerPosition } from './position';
import { reckonSeed } from './seedTable';
import { keepReading } from './keptReading';

// Pages are whole without this: it makes a long table short, and remembers what a reader chose.
if (!keepReading(window)) {
    filterCrops(document);
    reckonSeed(document);
    keepOwn(window);
    offerPosition(window);
    offerOffline(window);
}
