import { filterCrops } from './filter';
import { keepOwn } from './own';
import { keepReading } from './keptReading';

// Pages are whole without this: it makes a long table short, and remembers what a reader chose.
if (!keepReading(window)) {
    filterCrops(document);
    keepOwn(window);
}
