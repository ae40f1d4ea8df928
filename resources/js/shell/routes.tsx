import { createBrowserRouter, Navigate } from 'react-router';
import { Crops } from '../screens/crops/Crops';
import { Cues } from '../screens/cues/Cues';
import { Ground } from '../screens/ground/Ground';
import { Languages } from '../screens/languages/Languages';
import { Log } from '../screens/log/Log';
import { Login } from '../screens/login/Login';
import { Editions } from '../screens/editions/Editions';
import { OfficeSettings } from '../screens/office/OfficeSettings';
import { Record } from '../screens/record/Record';
import { Sites } from '../screens/sites/Sites';
import { Soil } from '../screens/soil/Soil';
import { Supply } from '../screens/supply/Supply';
import { Today } from '../screens/today/Today';
import { Trials } from '../screens/trials/Trials';
import { Dossier } from '../screens/windows/Dossier';
import { MethodChanges } from '../screens/windows/MethodChanges';
import { Windows } from '../screens/windows/Windows';
import { EditZone } from '../screens/zones/EditZone';
import { Zones } from '../screens/zones/Zones';
import { Desk } from './Desk';

export const router = createBrowserRouter([
    { path: '/desk/login', element: <Login /> },
    {
        path: '/desk',
        element: <Desk />,
        children: [
            { index: true, element: <Zones /> },
            { path: 'sites', element: <Sites /> },
            { path: 'languages', element: <Languages /> },
            { path: 'office', element: <OfficeSettings /> },
            { path: 'crops/:crop?', element: <Crops /> },
            { path: 'zones/new', element: <EditZone key="new" /> },
            { path: 'zones/:zone', element: <Navigate to="windows" replace /> },
            { path: 'zones/:zone/today', element: <Today /> },
            { path: 'zones/:zone/soil', element: <Soil /> },
            { path: 'zones/:zone/log', element: <Log /> },
            { path: 'zones/:zone/ground', element: <Ground /> },
            { path: 'zones/:zone/supply', element: <Supply /> },
            { path: 'zones/:zone/trials', element: <Trials /> },
            { path: 'zones/:zone/cues', element: <Cues /> },
            { path: 'zones/:zone/edit', element: <EditZone key="edit" /> },
            { path: 'zones/:zone/record/:part?', element: <Record /> },
            { path: 'zones/:zone/windows', element: <Windows /> },
            { path: 'zones/:zone/windows/:crop', element: <Dossier /> },
            { path: 'zones/:zone/method', element: <MethodChanges /> },
            { path: 'zones/:zone/editions', element: <Editions /> },
            { path: '*', element: <Navigate to="/desk" replace /> },
        ],
    },
]);
