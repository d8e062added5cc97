-- Letters are listed newest first, page by page.
create index mail_by_time on mail (clinic_id, written_at desc, id desc);
