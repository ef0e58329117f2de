import {
  type EdgeFeature,
  type EdgeProfile,
  featureKinds,
  fieldLimits,
  freeId,
  type Project,
  putProfile,
  removeProfile,
  sideLength,
} from '@hosket/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { ProfileDrawing } from '../../instruments/section/ProfileDrawing.tsx';
import { edit } from '../../store/projectStore.ts';
import { Button } from '../../ui/Button.tsx';
import { ChoiceField, MeasureField, WordsField } from '../../ui/Field.tsx';
import { Legend } from '../../ui/Legend.tsx';

/** The named profiles of the set: heights along an edge, and what runs over it. */
export function ProfileFields({ project }: { project: Project }) {
  const { profiles, tile } = project;
  const [shown, setShown] = useState('');
  const profile = profiles.find(({ id }) => id === shown) ?? profiles[0];
  const lengthMm = sideLength(project.base, 'front');
  const add = () => {
    const id = freeId('profile', profiles);
    edit((p) =>
      putProfile(p, {
        id,
        name: `Profile ${profiles.length + 1}`,
        points: [
          [0, 20],
          [Math.round(lengthMm), 20],
        ],
        features: [],
      }),
    );
    setShown(id);
  };
  return (
    <fieldset className="mt-4">
      <Legend under>Edge profiles</Legend>
      <div className="mb-2 flex flex-wrap items-end gap-2">
        {profile && (
          <div className="w-[180px]">
            <ChoiceField
              label="Profile"
              value={profile.id}
              options={profiles.map(({ id, name }) => ({ value: id, text: name }))}
              onValue={setShown}
            />
          </div>
        )}
        <Button onClick={add}>
          <Plus size={14} aria-hidden /> Add a profile
        </Button>
        {profile && (
          <Button
            tone="quiet"
            aria-label={`Remove ${profile.name}`}
            onClick={() => edit((p) => removeProfile(p, profile.id))}
          >
            <Trash2 size={14} aria-hidden />
          </Button>
        )}
      </div>
      {profile ? (
        <OneProfile key={profile.id} profile={profile} lengthMm={lengthMm} />
      ) : (
        <p className="text-sm text-muted">
          A profile is the height of the ground along an edge. Add one and let the sides of {tile.name} wear it.
        </p>
      )}
    </fieldset>
  );
}

function OneProfile({ profile, lengthMm }: { profile: EdgeProfile; lengthMm: number }) {
  const change = (by: Partial<EdgeProfile>) => edit((p) => putProfile(p, { ...profile, ...by }));
  const { points, features } = profile;
  const setPoint = (k: number, to: [number, number]) =>
    change({ points: points.map((point, n) => (n === k ? to : point)) });
  const setFeature = (k: number, by: Partial<EdgeFeature>) =>
    change({ features: features.map((feature, n) => (n === k ? { ...feature, ...by } : feature)) });
  const between = (k: number): [number, number] => [points[k - 1]?.[0] ?? -0.1, points[k + 1]?.[0] ?? 3000.1];
  const addPoint = () => {
    // Half way along the longest stretch.
    const gaps = points.slice(1).map(([at], k) => at - points[k][0]);
    const k = gaps.indexOf(Math.max(...gaps));
    const [[a, low], [b, high]] = [points[k], points[k + 1]];
    const next = [...points];
    next.splice(k + 1, 0, [(a + b) / 2, (low + high) / 2]);
    change({ points: next });
  };
  return (
    <div className="grid gap-2">
      <ProfileDrawing profile={profile} lengthMm={lengthMm} />
      <WordsField label="Name of the profile" value={profile.name} required onValue={(name) => change({ name })} />
      <ul aria-label="Points of the profile" className="grid gap-1">
        {points.map(([at, height], k) => (
          <li key={k} className="grid grid-cols-[1fr_1fr_auto] items-end gap-2">
            <MeasureField
              label={`Point ${k + 1}, along`}
              value={at}
              least={between(k)[0] + 0.1}
              most={between(k)[1] - 0.1}
              onValue={(mm) => setPoint(k, [mm, height])}
            />
            <MeasureField
              label={`Point ${k + 1}, height`}
              value={height}
              most={2000}
              onValue={(mm) => setPoint(k, [at, mm])}
            />
            <Button
              tone="quiet"
              disabled={points.length < 3}
              aria-label={`Remove point ${k + 1}`}
              onClick={() => change({ points: points.filter((_, n) => n !== k) })}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <ul aria-label="What runs over the edge" className="grid gap-1">
        {features.map((feature, k) => (
          <li key={k} className="grid grid-cols-[1.2fr_1fr_1fr_1fr_auto] items-end gap-2">
            <ChoiceField
              label="Over it runs a"
              value={feature.kind}
              options={featureKinds}
              onValue={(kind) => setFeature(k, { kind })}
            />
            <MeasureField
              label="at"
              value={feature.atMm}
              {...fieldLimits('profiles.features.atMm')}
              onValue={(atMm) => setFeature(k, { atMm })}
            />
            <MeasureField
              label="wide"
              value={feature.widthMm}
              {...fieldLimits('profiles.features.widthMm')}
              least={0.5}
              onValue={(widthMm) => setFeature(k, { widthMm })}
            />
            {feature.kind === 'lane' ? (
              <span />
            ) : (
              <MeasureField
                label={feature.kind === 'wall' ? 'high' : 'deep'}
                value={feature.heightMm}
                {...fieldLimits('profiles.features.heightMm')}
                onValue={(heightMm) => setFeature(k, { heightMm })}
              />
            )}
            <Button
              tone="quiet"
              aria-label={`Remove the ${feature.kind}`}
              onClick={() => change({ features: features.filter((_, n) => n !== k) })}
            >
              <Trash2 size={14} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      <div className="flex gap-2">
        <Button onClick={addPoint}>Add a point</Button>
        <Button
          onClick={() =>
            change({
              features: [...features, { kind: 'lane', atMm: Math.round(lengthMm / 2), widthMm: 30, heightMm: 6 }],
            })
          }
        >
          Add a lane, wall or channel
        </Button>
      </div>
    </div>
  );
}
