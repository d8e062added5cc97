/** @jsxImportSource preact */
import { useEffect, useState } from 'preact/hooks';
import type { DoorWords } from '@/core/home/home-words';
import type { HomePage } from '@/core/home/view-schema';
import { Door } from './Door';
import { Pair } from './Pair';
import { Press } from './Parts';
import { Tell } from './tell/Tell';
import { useHome } from './use-home';
import { Wrong } from './Wrong';
import { fill } from './words';

type Place = 'home' | 'wrong' | 'tell';

const placeOf = (state: unknown): Place => (state === 'wrong' || state === 'tell' ? state : 'home');

/** Where one is, so that the phone's own way back works. */
function usePlace(): [Place, (to: Place) => void] {
  const [place, setPlace] = useState<Place>(() => placeOf(history.state));
  useEffect(() => {
    const back = () => setPlace(placeOf(history.state));
    addEventListener('popstate', back);
    return () => removeEventListener('popstate', back);
  }, []);
  return [
    place,
    (to) => {
      history.pushState(to, '');
      setPlace(to);
      scrollTo(0, 0);
    },
  ];
}

/** The patient’s own page: a link in the address opens it once, later it stands on the phone. */
export function HomeApp({ door }: { door: DoorWords }) {
  const home = useHome();
  const [place, go] = usePlace();
  const [token, setToken] = useState(() => location.hash.slice(1));
  const { page } = home;

  useEffect(() => {
    if (!page) return;
    document.documentElement.lang = page.view.language;
    document.documentElement.dir = page.view.direction;
    document.title = page.view.words.title;
  }, [page]);

  if (home.pages === null) return null;
  if (token !== '')
    return (
      <main class="p-4 max-w-xl mx-auto">
        <h1 class="mb-3">{door.title}</h1>
        <Door
          token={token}
          words={door}
          onOpened={async (link) => {
            // The secret does not stay in the address or in the history.
            history.replaceState('home', '', '/home');
            await home.opened(link);
            setToken('');
          }}
        />
      </main>
    );
  if (!page)
    return (
      <main class="p-4 max-w-xl mx-auto grid gap-3">
        <h1>{door.title}</h1>
        <p>{door.noLink}</p>
      </main>
    );
  return <Opened page={page} home={home} place={place} go={go} />;
}

function Opened({
  page: { view, pictures },
  home,
  place,
  go,
}: {
  page: HomePage;
  home: ReturnType<typeof useHome>;
  place: Place;
  go: (to: Place) => void;
}) {
  const { words } = view;
  const [at, setAt] = useState(0);
  const pair = view.pairs[at] ?? view.pairs[0] ?? null;
  return (
    <div class="max-w-xl mx-auto min-h-screen flex flex-col">
      <main class="p-4 grow grid gap-4 content-start">
        <header class="flex flex-wrap gap-x-3 items-baseline text-faint">
          <span>{view.clinic}</span>
          <span class="ms-auto">{view.patient}</span>
          {(home.pages?.length ?? 0) > 1 && (
            <select
              aria-label={words.title}
              value={view.link}
              class="min-h-11"
              onChange={(event) => home.choose(event.currentTarget.value)}
            >
              {home.pages?.map(({ view: other }) => (
                <option key={other.link} value={other.link}>
                  {other.patient}
                </option>
              ))}
            </select>
          )}
        </header>
        <State home={home} view={view} />
        {place === 'wrong' && <Wrong view={view} pair={pair} say={home.say} />}
        {place === 'tell' && <Tell key={pair?.id} view={view} pair={pair} say={home.say} />}
        {place === 'home' && (
          <>
            {view.pairs.length > 1 && (
              <div class="grid gap-2">
                {view.pairs.map(({ id, title }, index) => (
                  <Press key={id} on={pair?.id === id} onPress={() => setAt(index)}>
                    {title}
                  </Press>
                ))}
              </div>
            )}
            {pair ? (
              <Pair key={pair.id} view={view} pair={pair} pictures={pictures[pair.id]} say={home.say} />
            ) : (
              <>
                <h1>{words.title}</h1>
                <p>{words.noPair}</p>
              </>
            )}
            <Kept view={view} remove={home.remove} />
          </>
        )}
      </main>
      <nav
        class="sticky bottom-0 bg-paper border-t border-rule p-3 grid grid-cols-2 gap-3"
        aria-label={words.title}
      >
        {place !== 'home' && <Press onPress={() => go('home')}>{words.back}</Press>}
        {place !== 'tell' && <Press onPress={() => go('tell')}>{words.tell}</Press>}
        {place !== 'wrong' && (
          <Press kind="warn" onPress={() => go('wrong')}>
            {words.wrongTitle}
          </Press>
        )}
      </nav>
    </div>
  );
}

/** What has not gone out, and whether what is seen is of now. */
function State({
  home,
  view: { words, madeOn },
}: {
  home: ReturnType<typeof useHome>;
  view: HomePage['view'];
}) {
  if (home.closed)
    return (
      <p role="alert" class="text-warn font-semibold">
        {words.closed}
      </p>
    );
  return (
    <div role="status" class="text-hold grid gap-1 empty:hidden">
      {home.waiting > 0 && (
        <p>
          <strong>{fill(words.waiting, { count: home.waiting })}</strong> {words.waitingWhy}
        </p>
      )}
      {home.refused && <p>{words.refused}</p>}
      {home.isOld && <p>{fill(words.asOf, { when: madeOn })}</p>}
    </div>
  );
}

/** What is kept, and how to be rid of it. */
function Kept({ view: { words }, remove }: { view: HomePage['view']; remove: () => Promise<void> }) {
  const [sure, setSure] = useState(false);
  return (
    <details class="border-t border-rule">
      <summary class="min-h-14 py-3 cursor-pointer text-faint">{words.storedTitle}</summary>
      <div class="grid gap-2 pb-4">
        {[words.storedSent, words.storedPhone, words.storedWho, words.storedStop, words.unwatched].map(
          (line) => (
            <p key={line}>{line}</p>
          ),
        )}
        {sure && <p class="text-warn">{words.removeAsk}</p>}
        <Press onPress={() => (sure ? void remove() : setSure(true))}>{words.remove}</Press>
      </div>
    </details>
  );
}
