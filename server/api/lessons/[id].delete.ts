export default lessonRoutes.remove()
