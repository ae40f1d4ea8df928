import { Calendar } from './Calendar';
import { Crop } from './Crop';
import { Home } from './Home';
import type { PageData } from './props';
import { Week } from './Week';

/** Any page of a gardener's, by its name. */
export function GardenerPage({ data }: { data: PageData }) {
    switch (data.page) {
        case 'home':
            return <Home {...data.props} />;
        case 'calendar':
            return <Calendar {...data.props} />;
        case 'week':
            return <Week {...data.props} />;
        case 'crop':
            return <Crop {...data.props} />;
    }
}
