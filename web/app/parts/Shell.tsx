import Skeleton from '@mui/material/Skeleton';

const indents = [0, 1, 2, 2, 3, 3, 2, 1, 2, 3, 3, 2, 1, 2];

/** The frame of a project's views, before what stands in it is known. */
export function Shell() {
  return (
    <div className="screen" aria-busy="true" aria-label="The project is being opened">
      <header className="bar">
        <span className="brand">Liana</span>
        <Skeleton width={180} height={24} />
        <nav className="shell-steps">
          {[48, 36, 44, 72].map((width, index) => (
            <Skeleton key={index} width={width} height={24} />
          ))}
        </nav>
        <Skeleton variant="rounded" width={260} height={34} />
      </header>
      <div className="controls">
        {[224, 98, 76, 76, 90].map((width, index) => (
          <Skeleton key={index} variant="rounded" width={width} height={28} />
        ))}
      </div>
      <div className="work-area">
        <section className="sheet shell-rows">
          {indents.map((indent, index) => (
            <Skeleton key={index} width={150 - indent * 8} height={22} sx={{ ml: `${indent * 18}px` }} />
          ))}
        </section>
        <aside className="card">
          <Skeleton width={200} height={32} />
          <Skeleton width={260} height={20} />
          <Skeleton variant="rounded" height={120} sx={{ mt: 2 }} />
        </aside>
      </div>
    </div>
  );
}
