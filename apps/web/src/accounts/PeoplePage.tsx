import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { answerOf } from '@cordel/client';
import { ROLES, type Role } from '@cordel/core';
import { accounts as t, roleSays, roleText } from '@cordel/text/pages/accounts/accounts';
import { api } from '@/data/api';
import { useMay, useSession } from '@/data/session';
import { useProjectView } from '@/projects/context';
import { Button } from '@/ui/Button';
import { Card } from '@/ui/Card';
import { Choice } from '@/ui/Field';
import { Notice, Waiting } from '@/ui/Notice';
import { Page } from '@/ui/Page';
import { Select } from '@/ui/Select';
import { Text } from '@/ui/Text';
import { TextField } from '@/ui/TextField';
import { LinkCard } from './LinkCard';
import { Trail } from './Trail';
import { useTask } from './useTask';
import { dayHere } from './zone';

const DAYS = 7;
const DAY_MS = 24 * 3600_000;

/** Who is in a project, as what, and who else may join. */
export function PeoplePage() {
  const { project } = useProjectView();
  const session = useSession();
  const router = useRouter();
  const mayInvite = useMay(project.id, 'decide');
  const mayManage = useMay(project.id, 'manage');
  const frame = { title: t('people'), above: project.name, back: `/p/${project.id}/kit` };
  if (!session?.accounts)
    return (
      <Page {...frame}>
        <Text>{t('openToAll')}</Text>
      </Page>
    );
  const role = session.roles[project.id];
  return (
    <Page {...frame}>
      <Text>
        {role ? t('yourRole', { role: roleText(role) }) : t('ownsServer')}
        {role ? ` ${roleSays(role)}` : ''}
      </Text>
      <Members projectId={project.id} mayManage={mayManage} />
      {mayInvite ? <Invite projectId={project.id} mayManage={mayManage} /> : null}
      <Button label={t('you')} onPress={() => router.push('/you' as never)} />
      {mayManage ? <Trail projectId={project.id} /> : null}
    </Page>
  );
}

const useMembers = (projectId: string) =>
  useQuery({
    queryKey: ['members', projectId],
    queryFn: () =>
      answerOf(api.GET('/api/projects/{projectId}/members', { params: { path: { projectId } } })),
  });

function Members({ projectId, mayManage }: { projectId: string; mayManage: boolean }) {
  const { data, error } = useMembers(projectId);
  const client = useQueryClient();
  const task = useTask();
  const [gone, setGone] = useState<string | null>(null);
  if (!data) return <Waiting error={error} />;
  const change = (personId: string, name: string, role: Role | null) =>
    void task
      .run(() =>
        answerOf(
          api.PUT('/api/projects/{projectId}/members/{personId}', {
            params: { path: { projectId, personId } },
            body: { role },
          }),
        ),
      )
      .then((isDone) => {
        if (isDone) setGone(role === null ? name : null);
        void client.invalidateQueries({ queryKey: ['members'] });
        void client.invalidateQueries({ queryKey: ['trail'] });
      });
  return (
    <View style={{ gap: 10 }}>
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      {gone ? <Notice live>{t('takenOut', { name: gone })}</Notice> : null}
      {data.members.map(({ id, name, role }) => (
        <Card
          key={id}
          style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
        >
          <Text kind="strong" style={{ flexGrow: 1 }}>
            {name}
          </Text>
          {mayManage ? (
            <>
              <Select
                label={t('roleOf', { name })}
                value={role}
                options={ROLES.map((value) => ({ value, label: roleText(value) }))}
                onChange={(value) => change(id, name, value as Role)}
              />
              <Button label={t('takeOut')} onPress={() => change(id, name, null)} />
            </>
          ) : (
            <Text color="ink2">{roleText(role)}</Text>
          )}
        </Card>
      ))}
    </View>
  );
}

/** Links by which people join: made, shown once, and taken back. */
function Invite({ projectId, mayManage }: { projectId: string; mayManage: boolean }) {
  const { data } = useMembers(projectId);
  const client = useQueryClient();
  const [role, setRole] = useState<Role>('technician');
  const [note, setNote] = useState('');
  const [made, setMade] = useState<{ secret: string; until: string } | null>(null);
  const task = useTask();
  const renew = () => void client.invalidateQueries({ queryKey: ['members'] });
  const make = () =>
    void task
      .run(async () => {
        const path = { projectId };
        const body = { id: uuid(), role, note, days: DAYS };
        const { secret } = await answerOf(
          api.POST('/api/projects/{projectId}/invitations', { params: { path }, body }),
        );
        setMade({ secret, until: new Date(Date.now() + DAYS * DAY_MS).toISOString() });
        setNote('');
      })
      .then(renew);
  const takeBack = (invitationId: string) =>
    void task
      .run(() =>
        answerOf(
          api.DELETE('/api/projects/{projectId}/invitations/{invitationId}', {
            params: { path: { projectId, invitationId } },
          }),
        ),
      )
      .then(renew);
  const offered = ROLES.filter((one) => mayManage || (one !== 'owner' && one !== 'lead'));
  return (
    <View style={{ gap: 12 }}>
      <Text kind="name" heading={2}>
        {t('invite')}
      </Text>
      <Choice<Role>
        label={t('inviteAs')}
        value={role}
        options={offered.map((value) => ({ value, label: roleText(value) }))}
        onChange={setRole}
      />
      <Text color="ink2">{roleSays(role)}</Text>
      <View style={{ maxWidth: 480 }}>
        <TextField
          label={t('inviteNote')}
          hint={t('inviteNoteHint')}
          value={note}
          onChange={setNote}
        />
      </View>
      {task.problem ? <Notice color="accent">{task.problem}</Notice> : null}
      <Button label={t('makeLink')} look="next" disabled={task.busy} onPress={make} />
      {made ? (
        <LinkCard secret={made.secret} says={t('linkSays', { day: dayHere(made.until) })} />
      ) : null}
      {data && data.invitations.length > 0 ? (
        <>
          <Text kind="strong">{t('openLinks')}</Text>
          {data.invitations.map((link) => (
            <View
              key={link.id}
              style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 10, alignItems: 'center' }}
            >
              <Text style={{ flexGrow: 1 }}>
                {t('openLink', {
                  role: roleText(link.role),
                  note: link.note === '' ? 'none' : link.note,
                  by: link.by,
                  day: dayHere(link.until),
                })}
              </Text>
              <Button label={t('takeBack')} onPress={() => takeBack(link.id)} />
            </View>
          ))}
        </>
      ) : null}
    </View>
  );
}
