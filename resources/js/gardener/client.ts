import { filterCrops } from './filter';
import { keepOwn } from './own';
import { offerOffline } from './offline';
import { offerPosition } from './position';
import { reckonSeed } from './seedTable';
import { keepReading } from './keptReading';

// Pages are complete without this script. It shortens a long table, and remembers a reader's choices.
if (!keepReading(window)) {
    filterCrops(document);
    reckonSeed(document);
    keepOwn(window);
    offerPosition(window);
    offerOffline(window);
}
