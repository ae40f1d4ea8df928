import { Menu } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { say } from '../words/words';
import { GROUPS } from './places';

/** Below this width each group is one menu. */
const WIDE = '(min-width: 62.5em)';

/** The screens of a zone in their three groups: side by side if there is room, otherwise one menu each. */
export function Groups({ zone }: { zone: string }) {
    const isWide = useMediaQuery(WIDE, window.matchMedia(WIDE).matches);
    return (
        <nav aria-label={say('desk.screens')} className="groups">
            {GROUPS.map((group) =>
                isWide ? (
                    <div key={group.id} role="group" aria-labelledby={`group-${group.id}`}>
                        <span id={`group-${group.id}`}>{group.name}</span>
                        <div>
                            {group.screens.map((screen) => (
                                <NavLink
                                    key={screen.path}
                                    to={`/desk/zones/${zone}/${screen.path}`}
                                    className={({ isActive }) => (isActive ? 'active' : '')}
                                >
                                    {screen.name}
                                </NavLink>
                            ))}
                        </div>
                    </div>
                ) : (
                    <Folded key={group.id} group={group} zone={zone} />
                ),
            )}
        </nav>
    );
}

function Folded({ group, zone }: { group: (typeof GROUPS)[number]; zone: string }) {
    const navigate = useNavigate();
    const { pathname } = useLocation();
    const here = group.screens.find((screen) => pathname.split('/')[4] === screen.path);
    return (
        <Menu position="bottom-start" offset={4} shadow="none" radius={0}>
            <Menu.Target>
                <button type="button" className={here ? 'switcher active' : 'switcher'}>
                    {here?.name ?? group.name}
                </button>
            </Menu.Target>
            <Menu.Dropdown>
                <Menu.Label>{group.name}</Menu.Label>
                {group.screens.map((screen) => (
                    <Menu.Item
                        key={screen.path}
                        onClick={() => navigate(`/desk/zones/${zone}/${screen.path}`)}
                        aria-current={screen === here ? 'page' : undefined}
                    >
                        {screen.name}
                    </Menu.Item>
                ))}
            </Menu.Dropdown>
        </Menu>
    );
}
