import { View } from 'react-native';
import { HAZARDS, type Hazard } from '@cordel/core/close';
import { hazardCautionText, hazardText } from '@cordel/text/close';
import { siteSafety as t } from '@cordel/text/pages/closing/SiteSafety';
import { Text } from '@/ui/Text';
import { Toggle } from '@/ui/Toggle';

/** What the crew says of the place. */
export interface SiteAnswer {
  /** Hazards that are there; null until somebody says, an empty list for none. */
  hazards: Hazard[] | null;
  /** Those that were looked after. */
  handled: Hazard[];
  /** First aid and the container for shards are at hand. */
  firstAid: boolean;
}

/** What is still to be said of the place before the visit begins; empty where nothing is. */
export function siteProblem({ hazards, handled, firstAid }: SiteAnswer): string {
  if (hazards === null) return t('sayWhatApplies');
  const open = hazards.find((hazard) => !handled.includes(hazard));
  if (open) return t('lookAfterFirst', { hazard: hazardText(open) });
  return firstAid ? '' : t('firstAidMissing');
}

const turned = (list: readonly Hazard[], hazard: Hazard, isOn: boolean): Hazard[] =>
  isOn ? [...list, hazard] : list.filter((own) => own !== hazard);

/** Before a tool is touched: what can hurt somebody here, each with its caution. */
export function SiteSafety({
  site,
  onChange,
}: {
  site: SiteAnswer;
  onChange(site: SiteAnswer): void;
}) {
  const { hazards, handled, firstAid } = site;
  return (
    <View role="group" aria-label={t('siteSafety')} style={{ gap: 8 }}>
      <Text kind="strong">{t('siteSafety')}</Text>
      <Text color="ink2">{t('whatIsThereHere')}</Text>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        {HAZARDS.map((hazard) => (
          <Toggle
            key={hazard}
            label={hazardText(hazard)}
            isOn={hazards?.includes(hazard) ?? false}
            onChange={(isOn) => onChange({ ...site, hazards: turned(hazards ?? [], hazard, isOn) })}
          />
        ))}
        <Toggle
          label={t('noneOfThese')}
          isOn={hazards?.length === 0}
          onChange={(isOn) => onChange({ ...site, hazards: isOn ? [] : null, handled: [] })}
        />
      </View>
      {hazards?.map((hazard) => (
        <View key={hazard} style={{ gap: 4 }}>
          <Text color="accent">{hazardCautionText(hazard)}</Text>
          <Toggle
            label={t('lookedAfter', { hazard: hazardText(hazard) })}
            isOn={handled.includes(hazard)}
            onChange={(isOn) => onChange({ ...site, handled: turned(handled, hazard, isOn) })}
          />
        </View>
      ))}
      <Toggle
        label={t('firstAidAndShardsAtHand')}
        isOn={firstAid}
        onChange={(isOn) => onChange({ ...site, firstAid: isOn })}
      />
    </View>
  );
}
