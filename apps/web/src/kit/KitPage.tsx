import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { kitShared as shared } from '@cordel/text/pages/kit/shared';
import { kitPage as t } from '@cordel/text/pages/kit/KitPage';
import { takeAlongPage as takeAlong } from '@cordel/text/pages/takeAlong/TakeAlongPage';
import { transferPage } from '@cordel/text/pages/transfer/TransferPage';
import { conflictsPage } from '@cordel/text/pages/conflicts/ConflictsPage';
import { recordPage } from '@cordel/text/pages/chain/RecordPage';
import { common } from '@cordel/text/pages/common';
import { accounts } from '@cordel/text/pages/accounts/accounts';
import { useOutbox } from '@/data/client';
import { usePerson } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { HelpSheet } from '@/ui/HelpSheet';
import { Page } from '@/ui/Page';
import { Button } from '@/ui/Button';
import { useThemeChoice } from '@/ui/Providers';
import { Text } from '@/ui/Text';

/** Settings of the project and of this device, and the ways in for data. */
export function KitPage() {
  const { project, cables, closures, schemes, hardware } = useProjectView();
  const router = useRouter();
  const [person, setPerson, isSignedIn] = usePerson();
  const [theme, setTheme] = useThemeChoice();
  const { writes } = useOutbox();
  const [help, setHelp] = useState(false);
  const links = [
    { to: 'settings', label: shared('projectAndLimits'), says: project.limits.name },
    { to: 'network', label: t('typeCablesAndClosures'), says: t('oneAfterTheOther') },
    { to: 'cables', label: common('cables'), says: shared('cables', { cables: cables.length }) },
    {
      to: 'closures',
      label: shared('closures'),
      says: shared('closures2', { closures: closures.length }),
    },
    {
      to: 'hardware',
      label: shared('hardware'),
      says: t('profiles', { profiles: hardware.length }),
    },
    { to: 'instruments', label: shared('instruments'), says: t('splicersAndCleavers') },
    { to: 'pack', label: shared('packTheVan'), says: t('whatClosuresTake') },
    {
      to: 'schemes',
      label: shared('colourSchemes'),
      says: t('schemes', { schemes: schemes.length }),
    },
    { to: 'labels', label: common('labels'), says: t('withCodesThatOpenAClosure') },
    { to: 'take-along', label: takeAlong('takeAlong'), says: takeAlong('takeAlongSays') },
    { to: 'transfer', label: transferPage('title'), says: transferPage('titleSays') },
    { to: 'people', label: accounts('people'), says: accounts('peopleSay') },
    { to: 'conflicts', label: conflictsPage('title'), says: conflictsPage('says') },
    { to: 'record', label: recordPage('titleShort'), says: recordPage('says') },
    { to: 'handover', label: t('handOver'), says: t('theAsBuiltPackage') },
    { to: 'import', label: common('importASpliceList'), says: t('csvOrXlsxWithAPreview') },
    { to: 'cable-list', label: shared('importCables'), says: t('csvOrXlsx') },
    { to: 'route-import', label: common('importARoute'), says: t('geojson') },
  ];
  return (
    <Page title={t('kit')} above={project.name}>
      <Grid>
        {links.map(({ to, label, says }) => (
          <Button
            key={to}
            role="button"
            onPress={() => router.push(`/p/${project.id}/kit/${to}` as never)}
            style={{ justifyContent: 'space-between', minHeight: 58 }}
          >
            <Text kind="strong">{label}</Text>
            <Text color="ink2">{says}</Text>
          </Button>
        ))}
        <Button
          label={t('openByLabel')}
          icon="qrcode-scan"
          onPress={() => router.push('/scan' as never)}
        />
        <Button
          label={common('allProjects')}
          icon="swap-horizontal"
          onPress={() => router.push('/projects')}
        />
      </Grid>
      <Text kind="name" heading={2}>
        {t('thisDevice')}
      </Text>
      {isSignedIn ? (
        <Button
          label={accounts('signedInAs', { name: person })}
          onPress={() => router.push('/you' as never)}
        />
      ) : (
        <TextInput
          mode="outlined"
          label={t('yourNameOrInitials')}
          aria-label={t('yourNameOrInitials')}
          value={person}
          onChangeText={setPerson}
          maxLength={80}
          outlineStyle={{ borderWidth: 2 }}
        />
      )}
      <Choice
        label={t('light')}
        value={theme}
        options={[
          { value: 'system', label: t('asTheSystem') },
          { value: 'light', label: t('paper') },
          { value: 'dark', label: t('night') },
        ]}
        onChange={setTheme}
      />
      <Text>
        {writes.length === 0
          ? t('allYouRecordedIsOnThe')
          : t('writesOnThisDeviceNotOn', { writes: writes.length })}
      </Text>
      <Button label={t('keys')} icon="keyboard-outline" onPress={() => setHelp(true)} />
      <HelpSheet visible={help} onClose={() => setHelp(false)} />
    </Page>
  );
}
