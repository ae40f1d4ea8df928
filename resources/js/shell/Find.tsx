import { Spotlight, type SpotlightActionData, type SpotlightActionGroupData } from '@mantine/spotlight';
import { useNavigate } from 'react-router';
import { useCrops } from '../api/crops';
import { useZones } from '../api/zones';
import { useCan } from '../access/session';
import { say } from '../words/words';
import { TERMS, TOPICS, topicName, type TermName, type Topic } from '../way/help';
import { findStore } from './find';
import { SCREENS, useSettings } from './places';

/** One field to search zones, crops, screens, settings, and things to do; `Ctrl K` or `Cmd K` opens it. */
export function Find({
    zone,
    onKeys,
    onHelp,
}: {
    zone: string | undefined;
    onKeys: () => void;
    onHelp: (topic?: Topic, term?: TermName) => void;
}) {
    const navigate = useNavigate();
    const { data: zones } = useZones();
    const { data: crops } = useCrops();
    const mayPublish = useCan('publish');
    const settings = useSettings();
    const mayEdit = useCan('edit-zones');
    const to = (id: string, label: string, address: string, more: Partial<SpotlightActionData> = {}) => ({
        id,
        label,
        onClick: () => navigate(address),
        ...more,
    });
    const name = zones?.find((one) => one.slug === zone)?.name ?? '';
    const actions: SpotlightActionGroupData[] = [
        {
            group: say('find.screens'),
            actions:
                zone === undefined
                    ? []
                    : SCREENS.map((screen) =>
                          to(`screen-${screen.path}`, screen.name, `/desk/zones/${zone}/${screen.path}`, {
                              description: name,
                          }),
                      ),
        },
        {
            group: say('find.do'),
            actions: [
                ...(zones ?? []).flatMap(({ slug, name }) => [
                    to(`log-${slug}`, say('find.log', { zone: name }), `/desk/zones/${slug}/log`),
                    to(`measure-${slug}`, say('find.measure', { zone: name }), `/desk/zones/${slug}/soil`),
                    ...(mayPublish
                        ? [to(`publish-${slug}`, say('find.publish', { zone: name }), `/desk/zones/${slug}/calendars`)]
                        : []),
                    ...(mayEdit
                        ? [
                              to(`edit-${slug}`, say('find.edit-zone', { zone: name }), `/desk/zones/${slug}/edit`),
                              to(
                                  `upload-${slug}`,
                                  say('find.upload', { zone: name }),
                                  `/desk/zones/${slug}/climate/files`,
                              ),
                          ]
                        : []),
                ]),
                ...(mayEdit ? [to('add-zone', say('common.add-a-zone'), '/desk/zones/new')] : []),
                to('phone-log', say('find.phone-log'), '', { onClick: () => window.location.assign('/log') }),
            ],
        },
        {
            group: say('find.zones'),
            actions: (zones ?? []).map((one) =>
                to(`zone-${one.slug}`, one.name, `/desk/zones/${one.slug}/today`, {
                    description: one.settlements.map((town) => town.name).join(', '),
                }),
            ),
        },
        {
            group: say('find.crops'),
            actions: (crops ?? []).flatMap((crop) => [
                ...(zone === undefined
                    ? []
                    : [
                          to(
                              `crop-${crop.slug}`,
                              say('find.crop-here', { crop: crop.name, zone: name }),
                              `/desk/zones/${zone}/planting-windows/${crop.slug}`,
                              { keywords: crop.names },
                          ),
                      ]),
                to(
                    `book-${crop.slug}`,
                    say('find.crop-numbers', { crop: crop.name }),
                    `/desk/settings/crops/${crop.slug}`,
                ),
            ]),
        },
        helpActions(onHelp),
        {
            group: say('find.settings'),
            actions: [
                ...settings.map((screen) => to(screen.path, screen.name, screen.path)),
                to('profile', say('screen.profile'), '/desk/profile'),
                to('zones', say('screen.zones'), '/desk/zones'),
                { id: 'keys', label: say('desk.keys'), onClick: onKeys },
            ],
        },
    ];
    return (
        <Spotlight
            store={findStore}
            actions={actions}
            shortcut={['mod + K']}
            limit={9}
            scrollable
            maxHeight={460}
            highlightQuery
            radius={0}
            overlayProps={{ blur: 0, backgroundOpacity: 0.35 }}
            attributes={{ content: { 'aria-label': say('find.label') } }}
            shadow="none"
            nothingFound={say('find.nothing')}
            searchProps={{ placeholder: say('find.placeholder'), 'aria-label': say('find.label') }}
        />
    );
}

/** Help on each screen, and on each word that is explained. */
function helpActions(onHelp: (topic?: Topic, term?: TermName) => void): SpotlightActionGroupData {
    return {
        group: say('find.help'),
        actions: [
            ...TOPICS.map((topic) => ({
                id: `help-${topic}`,
                label: say('help.find', { topic: topicName(topic) }),
                onClick: () => onHelp(topic),
            })),
            ...TERMS.map((term) => ({
                id: `term-${term}`,
                label: say('help.find-term', { term: say(`term.${term}`) }),
                description: say(`term.${term}.means`),
                onClick: () => onHelp(undefined, term),
            })),
        ],
    };
}
