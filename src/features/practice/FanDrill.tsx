import { useEffect, useState, type ReactNode } from 'react';
import { View } from 'react-native';
import {
  asForetold,
  fanAgrees,
  fanLadder,
  fanOff,
  fanTries,
  readable,
  type Tone,
} from '@/answers/fan';
import { BENCH_S } from '@/answers/blur-bench';
import { formatShutter, turnDuring } from '@/core';
import { FrameRoom } from '@/features/shoot/ThroughLens';
import { LARGEST_PICTURE_BYTES, PICTURE_FILES } from '@/formats/picture-file';
import { requestPictures } from '@/workers/pictures-client';
import { Button } from '@/ui/Button';
import { chooseFile } from '@/ui/files';
import { NumberField } from '@/ui/NumberField';
import { Picker } from '@/ui/Picker';
import { Text } from '@/ui/Text';
import { FIRST_ARC } from './arc';
import type { DrillProps } from './drill-frame';
import { agreesInWords, rungInWords, toneInWords, unreadableInWords } from './fan-words';
import { FanPicture } from './FanPicture';
import { ReadBack } from './FanReadBack';
import { listenForHum } from './hum';
import { usePractice } from './rehearsal';
import { SoFar } from './SoFar';

/** Further off is drawn at the chart's edge. */
const MOST_OFF = 0.5;

interface Taken {
  readonly url: string;
  /** What the file itself says of its time. */
  readonly shutterS?: number;
}

/** A real fan: its turns by its hum or by hand, photographed down the ladder, its smears read back. */
export function FanDrill({
  rehearsal,
  Frame,
  above,
}: Pick<DrillProps, 'rehearsal' | 'Frame'> & { readonly above: ReactNode }) {
  const [blades, setBlades] = useState(3);
  const [turnsPerS, setTurnsPerS] = useState<number>();
  const { taken, take, trouble, forget } = useTaken();
  const [arc, setArc] = useState(FIRST_ARC);
  const [chosenS, setChosenS] = useState<number>();
  const ladder = fanLadder(turnsPerS ?? 0);
  const shutterS = taken?.shutterS ?? chosenS ?? ladder[0]?.shutterS ?? (BENCH_S[2] as number);
  const deg = turnDuring({ perS: turnsPerS ?? 0, shutterS });
  const canBeRead = readable(deg) === 'yes';
  const anew = () => {
    forget();
    setArc(FIRST_ARC);
  };
  return (
    <Frame
      title="Blur"
      picture={
        taken ? (
          <FrameRoom orientation="level">
            {(size) => (
              <FanPicture
                url={taken.url}
                arc={canBeRead ? arc : undefined}
                size={size}
                onArc={setArc}
                onUnread={() => forget('that is no picture that can be shown')}
              />
            )}
          </FrameRoom>
        ) : undefined
      }
    >
      {above}
      {taken && turnsPerS !== undefined ? (
        <>
          {canBeRead ? (
            <ReadBack {...{ rehearsal, turnsPerS, shutterS, arc }} onArc={setArc} onDone={anew} />
          ) : (
            <>
              <Text kind="strong" aria-live="polite">
                {unreadableInWords({ shutterS, deg }, ladder)}
              </Text>
              <Button label="Another picture" onPress={anew} />
            </>
          )}
          {taken.shutterS === undefined ? (
            <Picker
              label="Time, which the picture does not say"
              value={String(shutterS)}
              options={BENCH_S.map((s) => ({ value: String(s), label: formatShutter(s) }))}
              onChange={(s) => setChosenS(Number(s))}
            />
          ) : (
            <Text>{`Taken at ${formatShutter(taken.shutterS)}, as the file says.`}</Text>
          )}
        </>
      ) : (
        <>
          <Text>
            A strip of pale tape on one blade. Guard on, fingers, hair and straps away; the camera
            on a tripod, square to it.
          </Text>
          <NumberField
            label="Blades"
            unit=""
            value={blades}
            min={1}
            max={12}
            places={0}
            onChange={(count) => setBlades(Math.round(count))}
          />
          <Turns {...{ blades, turnsPerS }} onTurns={setTurnsPerS} />
          {turnsPerS === undefined ? null : (
            <View className="gap-2">
              <Text kind="strong">Photograph it at these; the tape smears over:</Text>
              <View
                role="list"
                aria-label="Foretold"
                className="flex-row flex-wrap gap-x-5 gap-y-1"
              >
                {ladder.map((rung) => (
                  <View key={rung.shutterS} role="listitem">
                    <Text>{rungInWords(rung)}</Text>
                  </View>
                ))}
              </View>
              <Button label="Read a picture back" kind="primary" onPress={() => void take()} />
            </View>
          )}
          {trouble ? <Text role="alert">{`It could not be read: ${trouble}.`}</Text> : null}
        </>
      )}
      <YourSmears />
    </Frame>
  );
}

/** Turns by the hum, or written by hand. */
function Turns({
  blades,
  turnsPerS,
  onTurns,
}: {
  readonly blades: number;
  readonly turnsPerS: number | undefined;
  readonly onTurns: (perS: number) => void;
}) {
  const [tones, setTones] = useState<readonly Tone[]>();
  const [listening, setListening] = useState(false);
  const [trouble, setTrouble] = useState<string>();
  const listen = async () => {
    setListening(true);
    setTrouble(undefined);
    try {
      const heard = await listenForHum();
      setTones(heard);
      if (heard.length === 0) setTrouble('no tone stands out: hold the phone nearer');
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : String(error));
    }
    setListening(false);
  };
  return (
    <View className="gap-2">
      <Button
        label={listening ? 'Listening …' : 'Listen to its hum'}
        disabled={listening}
        onPress={() => void listen()}
      />
      {trouble ? (
        <Text
          role="alert"
          kind="small"
        >{`Not by its hum: ${trouble}. Write its turns below.`}</Text>
      ) : null}
      {tones && tones.length > 0 ? (
        <View role="list" aria-label="Tones heard" className="gap-2">
          {tones.map((tone) => (
            <View key={tone.hz} role="listitem">
              <Button label={toneInWords(tone, blades)} onPress={() => onTurns(tone.hz / blades)} />
            </View>
          ))}
          <Text kind="small" ink="quiet">
            A tone that stays when the fan is off is the mains or the room.
          </Text>
        </View>
      ) : null}
      <NumberField
        label="Turns a second"
        unit=""
        value={turnsPerS ?? 0}
        min={0.5}
        max={100}
        places={1}
        onChange={onTurns}
      />
    </View>
  );
}

function YourSmears() {
  const { practice } = usePractice();
  const tries = practice ? fanTries(practice).slice(-20) : [];
  const agrees = practice && fanAgrees(practice);
  return (
    <SoFar
      name="Your smears"
      tries={tries.map((made) => ({ off: fanOff(made), good: asForetold(made) }))}
      counted={{ one: 'picture', many: 'pictures', good: 'within a tenth' }}
      ends={[-MOST_OFF, MOST_OFF]}
      nameOf={(off) => (off === 0 ? 'foretold' : off > 0 ? 'more' : 'less')}
      lies={agrees?.bias}
      ofHand={agrees !== undefined}
    >
      {agrees ? <Text>{agreesInWords(agrees)}</Text> : null}
    </SoFar>
  );
}

/** The picture that is read just now: shown from the device itself, kept nowhere. */
function useTaken() {
  const [taken, setTaken] = useState<Taken>();
  const [trouble, setTrouble] = useState<string>();
  const url = taken?.url;
  useEffect(() => () => (url === undefined ? undefined : URL.revokeObjectURL(url)), [url]);
  const take = async () => {
    const file = await chooseFile(PICTURE_FILES);
    if (!file) return;
    if (file.size > LARGEST_PICTURE_BYTES) {
      setTrouble('it is larger than 30 MB; save it smaller');
      return;
    }
    setTrouble(undefined);
    let shutterS: number | undefined;
    try {
      const { signal } = new AbortController();
      await requestPictures(
        [file],
        ({ pictures }) => {
          shutterS = pictures[0]?.frame.shutterS;
        },
        signal,
      );
    } catch {
      // What the file does not say is asked for.
    }
    setTaken({ url: URL.createObjectURL(file), ...(shutterS !== undefined && { shutterS }) });
  };
  const forget = (why?: string) => {
    setTaken(undefined);
    setTrouble(why);
  };
  return { taken, take, trouble, forget };
}
