import { Calendar } from './Calendar';
import { Crop } from './Crop';
import { Embed } from './Embed';
import { ErrorPage } from './ErrorPage';
import { Find } from './Find';
import { Home } from './Home';
import { Labels } from './Labels';
import { Letter } from './Letter';
import { Mine } from './Mine';
import { Office } from './Office';
import { Paper } from './Paper';
import type { PageData } from './props';
import { Search } from './Search';
import { Week } from './Week';

/** Any public page, by its name. */
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
        case 'mine':
            return <Mine {...data.props} />;
        case 'paper':
            return <Paper {...data.props} />;
        case 'office':
            return <Office {...data.props} />;
        case 'search':
            return <Search {...data.props} />;
        case 'error':
            return <ErrorPage {...data.props} />;
        case 'find':
            return <Find {...data.props} />;
        case 'letter':
            return <Letter {...data.props} />;
        case 'labels':
            return <Labels {...data.props} />;
        case 'embed':
            return <Embed {...data.props} />;
    }
}
