package app.jubek.server.intake;

import org.springframework.data.jpa.repository.JpaRepository;

interface OctetsRepository extends JpaRepository<OctetsEntity, Long> {}
