import { Menu } from '@mantine/core';
import { useLocation, useNavigate } from 'react-router';
import { lastLookedAt, useChooseOffice, useSession } from '../access/session';
import { useZones } from '../api/zones';
import { say } from '../words/words';

/** The zone as the title, which switches to another zone on the same screen, and to the person's other offices. */
export function ZoneSwitcher({ zone, title }: { zone: string | undefined; title: string }) {
    const { data: zones } = useZones();
    const user = useSession().data?.user;
    const choose = useChooseOffice();
    const others = user?.offices.filter(({ slug }) => slug !== user.office.slug) ?? [];
    const { pathname } = useLocation();
    const navigate = useNavigate();
    const elsewhere = (slug: string) => {
        const screen =
            zone === undefined ? (lastLookedAt('screen') ?? 'today') : (pathname.split('/')[4] ?? 'planting-windows');
        return `/desk/zones/${slug}/${pathname.split('/').slice(4).join('/') || screen}`;
    };
    return (
        <Menu position="bottom-start" offset={4} shadow="none" radius={0}>
            <h1>
                <Menu.Target>
                    <button type="button" className="switcher" aria-label={say('switcher.label', { title })}>
                        {title}
                    </button>
                </Menu.Target>
            </h1>
            <Menu.Dropdown>
                <Menu.Item onClick={() => navigate('/desk')} aria-current={zone === undefined && pathname === '/desk'}>
                    {say('switcher.all-zones')}
                </Menu.Item>
                <Menu.Divider />
                {zones?.map(({ slug, name, district }) => (
                    <Menu.Item
                        key={slug}
                        onClick={() => navigate(elsewhere(slug))}
                        aria-current={slug === zone}
                        rightSection={<small className="hint">{district}</small>}
                    >
                        {name}
                    </Menu.Item>
                ))}
                {others.length > 0 && (
                    <>
                        <Menu.Divider />
                        <Menu.Label>{say('switcher.offices')}</Menu.Label>
                        {others.map(({ slug, name, role }) => (
                            <Menu.Item
                                key={slug}
                                onClick={() => choose.mutate(slug)}
                                rightSection={<small className="hint">{say(`role.${role}`)}</small>}
                            >
                                {name}
                            </Menu.Item>
                        ))}
                    </>
                )}
            </Menu.Dropdown>
        </Menu>
    );
}
