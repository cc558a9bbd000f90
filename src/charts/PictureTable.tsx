interface PictureTableProps {
  /** What the picture shows. */
  caption: string;
  headings: readonly string[];
  rows: readonly (readonly string[])[];
}

/** The figures of a picture, for those who hear the page: a table out of sight behind it. */
export function PictureTable({ caption, headings, rows }: PictureTableProps) {
  return (
    <div className="sr">
      <table>
        <caption>{caption}</caption>
        <thead>
          <tr>
            {headings.map((heading) => (
              <th key={heading} scope="col">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, ...figures]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {figures.map((figure, at) => (
                <td key={headings[at + 1]}>{figure}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
