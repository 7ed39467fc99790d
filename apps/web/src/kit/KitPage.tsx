import { useRouter } from 'expo-router';
import { useState } from 'react';
import { TextInput } from 'react-native-paper';
import { plural } from '@cordel/core';
import { useOutbox } from '@/data/client';
import { usePerson } from '@/data/storage';
import { useProjectView } from '@/projects/context';
import { Choice } from '@/ui/Field';
import { Grid } from '@/ui/Grid';
import { HelpSheet } from '@/ui/HelpSheet';
import { Page } from '@/ui/Page';
import { Press } from '@/ui/Press';
import { useThemeChoice } from '@/ui/Providers';
import { Txt } from '@/ui/Txt';

/** Settings of the project and of this device, and the ways in for data. */
export function KitPage() {
  const { project, cables, closures, schemes, hardware } = useProjectView();
  const router = useRouter();
  const [person, setPerson] = usePerson();
  const [theme, setTheme] = useThemeChoice();
  const { writes } = useOutbox();
  const [help, setHelp] = useState(false);
  const links = [
    { to: 'settings', label: 'Project and limits', says: project.limits.name },
    { to: 'network', label: 'Type cables and closures', says: 'one after the other' },
    { to: 'cables', label: 'Cables', says: plural(cables.length, 'cable') },
    { to: 'closures', label: 'Closures', says: plural(closures.length, 'closure') },
    { to: 'hardware', label: 'Hardware', says: plural(hardware.length, 'profile') },
    { to: 'instruments', label: 'Instruments', says: 'splicers and cleavers' },
    { to: 'pack', label: 'Pack the van', says: 'what closures take' },
    { to: 'schemes', label: 'Colour schemes', says: plural(schemes.length, 'scheme') },
    { to: 'labels', label: 'Labels', says: 'with codes that open a closure' },
    { to: 'handover', label: 'Hand over', says: 'the as-built package' },
    { to: 'import', label: 'Import a splice list', says: 'CSV or XLSX, with a preview' },
    { to: 'cable-list', label: 'Import cables', says: 'CSV or XLSX' },
    { to: 'ground', label: 'Import a route', says: 'GeoJSON' },
  ];
  return (
    <Page title="Kit" above={project.name}>
      <Grid>
        {links.map(({ to, label, says }) => (
          <Press
            key={to}
            role="button"
            onPress={() => router.push(`/p/${project.id}/kit/${to}` as never)}
            style={{ justifyContent: 'space-between', minHeight: 58 }}
          >
            <Txt kind="strong">{label}</Txt>
            <Txt ink="ink2">{says}</Txt>
          </Press>
        ))}
        <Press
          label="Open by label"
          icon="qrcode-scan"
          onPress={() => router.push('/scan' as never)}
        />
        <Press
          label="All projects"
          icon="swap-horizontal"
          onPress={() => router.push('/projects')}
        />
      </Grid>
      <Txt kind="name" heading={2}>
        This device
      </Txt>
      <TextInput
        mode="outlined"
        label="Your name or initials"
        aria-label="Your name or initials"
        value={person}
        onChangeText={setPerson}
        maxLength={80}
        outlineStyle={{ borderWidth: 2 }}
      />
      <Choice
        label="Light"
        value={theme}
        options={[
          { value: 'system', label: 'As the system' },
          { value: 'light', label: 'Paper' },
          { value: 'dark', label: 'Night' },
        ]}
        onChange={setTheme}
      />
      <Txt>
        {writes.length === 0
          ? 'All you recorded is on the server.'
          : `${plural(writes.length, 'write')} on this device, not on the server yet.`}
      </Txt>
      <Press label="Keys" icon="keyboard-outline" onPress={() => setHelp(true)} />
      <HelpSheet visible={help} onClose={() => setHelp(false)} />
    </Page>
  );
}
