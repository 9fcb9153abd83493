@echo off
rem Builds missing or stale modules, then runs Ivrik.
setlocal
set "HOME_DIR=%~dp0"
set "JDK="
for %%J in ("%IVRIK_JDK%" "%JAVA_HOME%") do if not defined JDK if exist "%%~J\bin\javac.exe" findstr /r "JAVA_VERSION=\"2[5-9]" "%%~J\release" >nul 2>nul && set "JDK=%%~J"
if not defined JDK for /d %%J in ("%ProgramFiles%\Eclipse Adoptium\jdk-25*" "%ProgramFiles%\Java\jdk-25*") do if not defined JDK set "JDK=%%~J"
if not defined JDK (
  echo ivrik: Java 25 is needed: install a JDK 25 and set JAVA_HOME to it 1>&2
  exit /b 1
)
powershell -NoProfile -Command "$h='%HOME_DIR%'; $s=$h+'target\built'; if(-not(Test-Path $s)){exit 1}; $t=(Get-Item $s).LastWriteTime; $n=Get-ChildItem -Recurse -File ($h+'pom.xml'),($h+'core\src\main'),($h+'media\src\main'),($h+'cli\src\main'),($h+'app\src\main') | Where-Object {$_.LastWriteTime -gt $t} | Select-Object -First 1; if($n){exit 1}"
if errorlevel 1 (
  echo ivrik: building Ivrik 1>&2
  pushd "%HOME_DIR%"
  call mvn -q -B -Dmaven.test.skip=true -pl core,media,cli,app package 1>&2 || (popd & echo ivrik: the build failed 1>&2 & exit /b 1)
  popd
  echo built> "%HOME_DIR%target\built"
)
if "%~1"=="package" (
  pushd "%HOME_DIR%"
  call mvn -q -B -DskipTests -pl installer package 1>&2 || (popd & exit /b 1)
  popd
  "%JDK%\bin\java" -Djava.awt.headless=true -cp "%HOME_DIR%installer\target\ivrik-installer.jar" ivrik.installer.Package "%HOME_DIR%." %2 %3
  exit /b
)
rem IVRIK_MEMORY, else a third of the machine's memory, at most 4 GB.
set "MEMORY="
for /f %%M in ('powershell -NoProfile -Command "[math]::Min(4096,[math]::Floor((Get-CimInstance Win32_ComputerSystem).TotalPhysicalMemory/3MB))" 2^>nul') do set "MEMORY=-Xmx%%Mm"
if defined IVRIK_MEMORY set "MEMORY=-Xmx%IVRIK_MEMORY%"
"%JDK%\bin\java" --add-modules=jdk.incubator.vector "@%HOME_DIR%build\java.args" -Xshare:auto %MEMORY% "-Divrik.home=%HOME_DIR%." "-Divrik.program=%HOME_DIR%ivrik.cmd" -cp "%HOME_DIR%cli\target\ivrik-cli.jar;%HOME_DIR%app\target\ivrik-app.jar;%HOME_DIR%target\lib\*" ivrik.cli.Ivrik %*
