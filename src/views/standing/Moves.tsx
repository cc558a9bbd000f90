interface MovesProps {
  moves: readonly { name: string; place: string; words: string; reason: string }[];
}

/** What is moved, and below it why. */
export function Moves({ moves }: MovesProps) {
  return (
    <ul className="plainList">
      {moves.map(({ name, place, words, reason }) => (
        <li key={`${name} ${place} ${words}`}>
          <strong>{name}</strong> <span className="faint">{place}</span> {words}
          <br />
          <span className="faint small">{reason}</span>
        </li>
      ))}
    </ul>
  );
}
